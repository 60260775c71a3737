<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** An order that goes on with the army of another. */
final class ArmyContinued extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['until' => ['required', 'date_format:Y-m-d']];
    }

    /** The last day on which the prices of before hold. */
    public function until(): string
    {
        return $this->text('until');
    }
}
