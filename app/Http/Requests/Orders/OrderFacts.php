<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** Facts of an order as somebody wants them now; what is not sent stays. */
final class OrderFacts extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'client' => ['sometimes', 'required', 'string', 'max:200'],
            'payer' => ['sometimes', 'nullable', 'string', 'max:200'],
            'title' => ['sometimes', 'required', 'string', 'max:200'],
            'client_reference' => ['sometimes', 'nullable', 'string', 'max:120'],
            'brief' => ['sometimes', 'nullable', 'string', 'max:5000'],
            'due_on' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            'promised_on' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string|null> by the names of the facts, only what was sent */
    public function facts(): array
    {
        $sent = array_diff_key((array) $this->validated(), ['revision' => true]);

        return array_map(fn (mixed $v) => is_string($v) ? $v : null, $sent);
    }
}
