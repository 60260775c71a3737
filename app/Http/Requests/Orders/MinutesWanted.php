<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** How many minutes a piece may take. */
final class MinutesWanted extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'minutes' => ['required', 'numeric', 'min:0', 'max:6000'],
        ];
    }

    public function minutes(): float
    {
        return (float) $this->text('minutes');
    }
}
