<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;
use stdClass;

/** What is agreed beside the tier, at its level. */
final class NewAmendment extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'amendment' => ['required', 'array'],
            'piece' => ['nullable', 'integer', 'min:1'],
        ];
    }

    /** The number of the model it is for, at the level piece. */
    public function piece(): ?int
    {
        return $this->numberOrNull('piece');
    }

    /** As `ordotype/amendment@1`. */
    public function amendment(): stdClass
    {
        return Amounts::in($this->object('amendment')) ?? new stdClass();
    }
}
