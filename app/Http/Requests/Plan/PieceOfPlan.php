<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** The plan of a unit, or of one of its pieces. */
final class PieceOfPlan extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'piece' => ['nullable', 'integer', 'min:1'],
        ];
    }

    /** Its number. */
    public function piece(): ?int
    {
        return $this->numberOrNull('piece');
    }
}
