<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;
use Illuminate\Validation\Rule;
use Ordotype\Core\Studio\OrderStatus;

/** An order that somebody moves along: where to, and what is kept of it. */
final class OrderMoved extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'to' => ['required', Rule::enum(OrderStatus::class)],
            'reason' => ['nullable', 'string', 'max:500'],
            'who' => ['nullable', 'string', 'max:200'],
            'how' => ['nullable', 'string', 'max:200'],
            'until' => ['nullable', 'date_format:Y-m-d'],
            'promised' => ['nullable', 'date_format:Y-m-d'],
            'pieces' => ['sometimes', 'array', 'max:500'],
            'pieces.*' => ['integer', 'distinct'],
            'ticks' => ['sometimes', 'array', 'max:50'],
            'ticks.*' => ['string', 'max:40', 'distinct'],
        ];
    }

    public function to(): OrderStatus
    {
        return OrderStatus::from($this->text('to'));
    }

    /** @return array<string, string> what was said with it */
    public function facts(): array
    {
        $facts = [];
        foreach (['reason', 'who', 'how', 'until', 'promised'] as $fact) {
            $facts[$fact] = $this->text($fact);
        }

        return array_filter($facts, fn (string $said) => $said !== '');
    }

    /** @return list<string> ids of the extras that the client takes */
    public function ticks(): array
    {
        return $this->texts('ticks');
    }

    /** @return list<int> */
    public function pieces(): array
    {
        return array_map(intval(...), $this->texts('pieces'));
    }
}
