<?php

declare(strict_types=1);

namespace App\Http\Requests\Photographs;

use App\Http\Requests\StudioRequest;

/** A unit's plan as a drawing: of which piece, after how many passes. */
final class DrawingAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'piece' => ['nullable', 'integer', 'min:1'],
            'passes' => ['nullable', 'integer', 'min:0', 'max:10000'],
        ];
    }

    public function piece(): ?int
    {
        return $this->numberOrNull('piece');
    }

    /** Null: all of them. */
    public function passes(): ?int
    {
        return $this->numberOrNull('passes');
    }
}
