<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;

/** To what tier a unit might be raised, and from what. */
final class RaiseAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'tier' => ['required', 'string'],
            'from' => ['nullable', 'in:finished,stands'],
        ];
    }

    public function tier(): string
    {
        return $this->text('tier');
    }

    /** From what every piece has now, instead of from the finished plan. */
    public function stands(): bool
    {
        return $this->textOrNull('from') === 'stands';
    }
}
