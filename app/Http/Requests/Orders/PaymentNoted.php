<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** A payment that came, or did not after all. */
final class PaymentNoted extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'on' => ['present', 'nullable', 'date_format:Y-m-d'],
            'way' => ['nullable', 'string', 'max:100'],
        ];
    }

    public function on(): ?string
    {
        return $this->textOrNull('on');
    }

    public function way(): ?string
    {
        return $this->textOrNull('way');
    }
}
