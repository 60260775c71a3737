<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Which orders a list shows. */
final class ListOrders extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'status' => ['nullable', 'string'],
            'cursor' => ['nullable', 'string'],
        ];
    }

    public function status(): ?string
    {
        return $this->textOrNull('status');
    }
}
