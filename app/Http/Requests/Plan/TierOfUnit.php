<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** Another tier for a unit. */
final class TierOfUnit extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'tier' => ['required', 'string'],
        ];
    }

    public function tier(): string
    {
        return $this->text('tier');
    }
}
