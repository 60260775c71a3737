<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;
use stdClass;

/** The schools that an order is painted by. */
final class MethodOfUnit extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'order_revision' => ['required', 'integer', 'min:0'],
            'method' => ['present', 'array'],
        ];
    }

    /** Of the order, as it was looked at: the method is the whole order's. */
    public function orderRevision(): int
    {
        return $this->number('order_revision');
    }

    /** As `ordotype/method@1`. */
    public function schools(): stdClass
    {
        return $this->object('method');
    }
}
