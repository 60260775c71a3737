<?php

declare(strict_types=1);

namespace App\Http\Requests\Schemes;

use App\Http\Requests\StudioRequest;

/** A scheme, shown on the figures of an order where one is named. */
final class SchemeWanted extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'order' => ['nullable', 'integer'],
        ];
    }

    /** Its id. */
    public function order(): ?int
    {
        return $this->numberOrNull('order');
    }
}
