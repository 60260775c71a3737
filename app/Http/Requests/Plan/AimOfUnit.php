<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;
use Ordotype\Core\Standard\Aim;

/** What the plan of a unit aims at; none: what its tier says. */
final class AimOfUnit extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'aim' => ['nullable', 'in:quickest,best'],
        ];
    }

    public function aim(): ?Aim
    {
        return Aim::tryFrom($this->text('aim'));
    }
}
