<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;

/** What is said at a gate: past it, or not and why. */
class GateWord extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'passed' => ['required', 'boolean'],
            'note' => ['nullable', 'string', 'max:1000'],
        ];
    }

    public function passed(): bool
    {
        return (bool) $this->validated('passed');
    }

    public function note(): ?string
    {
        return $this->textOrNull('note');
    }
}
