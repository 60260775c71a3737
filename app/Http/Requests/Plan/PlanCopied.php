<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** The plan of a unit, for another unit of the same figure. */
final class PlanCopied extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'to' => ['required', 'integer'],
            'revision' => ['required', 'integer', 'min:0'],
        ];
    }

    /** The id of the other unit; the revision is of that one. */
    public function to(): int
    {
        return $this->number('to');
    }
}
