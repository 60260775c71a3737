<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** A new order; colours are chosen later where none are named. */
final class NewOrder extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'client' => ['required', 'string', 'max:200'],
            'title' => ['required', 'string', 'max:200'],
            'brief' => ['nullable', 'string', 'max:5000'],
            'due_on' => ['nullable', 'date_format:Y-m-d'],
            'scheme' => ['nullable', 'string', 'exists:schemes,slug'],
        ];
    }

    public function client(): string
    {
        return $this->text('client');
    }

    public function title(): string
    {
        return $this->text('title');
    }

    public function brief(): ?string
    {
        return $this->textOrNull('brief');
    }

    /** As year-month-day. */
    public function dueOn(): ?string
    {
        return $this->textOrNull('due_on');
    }

    /** The slug of a scheme. */
    public function scheme(): ?string
    {
        return $this->textOrNull('scheme');
    }
}
