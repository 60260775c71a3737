<?php

declare(strict_types=1);

namespace App\Http\Requests\Sharing;

use App\Http\Requests\StudioRequest;

/** What a client says to a version of a quote, by their page. */
final class QuoteAnswered extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer', 'min:1'],
            'yes' => ['required', 'boolean'],
            'name' => ['required', 'string', 'max:200'],
            'ticks' => ['sometimes', 'array', 'max:50'],
            'ticks.*' => ['string', 'max:40', 'distinct'],
            'of_age' => ['sometimes', 'boolean'],
            'reason' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Say your name: it is kept with your answer.'];
    }

    public function version(): int
    {
        return $this->number('version');
    }

    public function yes(): bool
    {
        return $this->boolean('yes');
    }

    public function name(): string
    {
        return trim($this->text('name'));
    }

    /** @return list<string> ids of the extras that are taken */
    public function ticks(): array
    {
        return $this->texts('ticks');
    }

    /** Or a parent agrees. */
    public function ofAge(): bool
    {
        return $this->boolean('of_age');
    }

    public function reason(): string
    {
        return $this->text('reason');
    }
}
