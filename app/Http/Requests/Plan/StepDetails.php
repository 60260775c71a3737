<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** Paint and note of one step. */
final class StepDetails extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'step' => ['required', 'string', 'max:190'],
            'paint' => ['nullable', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:500'],
        ];
    }

    public function step(): string
    {
        return $this->text('step');
    }

    public function paint(): ?string
    {
        return $this->textOrNull('paint');
    }

    public function note(): ?string
    {
        return $this->textOrNull('note');
    }
}
