<?php

declare(strict_types=1);

namespace App\Http\Requests\Sharing;

use App\Http\Requests\StudioRequest;

/** A link to a comparison sheet for somebody without an account. */
final class NewShare extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
            'prices' => ['required', 'boolean'],
            'days' => ['required', 'integer', 'min:1', 'max:365'],
        ];
    }

    /** The slug of a figure. */
    public function sculpt(): string
    {
        return $this->text('sculpt');
    }

    /** Whether it shows prices. */
    public function prices(): bool
    {
        return $this->boolean('prices');
    }

    /** How long it holds. */
    public function days(): int
    {
        return $this->number('days');
    }
}
