<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** The scheme of an order, its reference picture, or both. */
final class OrderColours extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'scheme' => ['sometimes', 'nullable', 'string', 'exists:schemes,slug'],
            'reference' => ['sometimes', 'nullable', 'string', 'exists:pictures,sha256'],
        ];
    }

    /** @return array{scheme?: string|null, reference?: string|null} only what was sent */
    public function facts(): array
    {
        return array_map(fn (mixed $v) => is_string($v) ? $v : null, (array) $this->validated());
    }
}
