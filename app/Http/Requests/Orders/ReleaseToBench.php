<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** A unit to go to the bench, with a reason where something is missing. */
final class ReleaseToBench extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'despite' => ['nullable', 'string', 'max:500'],
        ];
    }

    public function despite(): ?string
    {
        return $this->textOrNull('despite');
    }
}
