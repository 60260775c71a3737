<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** An order that is put on hold: why, and whose wait it is. */
final class OrderHeld extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'reason' => ['required', 'string', 'max:500'],
            'for' => ['required', 'in:client,studio'],
        ];
    }

    public function reason(): string
    {
        return $this->text('reason');
    }

    public function for(): string
    {
        return $this->text('for');
    }
}
