<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** A step of the order of work, to another place. */
final class StepMoved extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'step' => ['required', 'string', 'max:190'],
            'to' => ['required', 'integer', 'min:0', 'max:10000'],
        ];
    }

    public function step(): string
    {
        return $this->text('step');
    }

    /** Its place from 0. */
    public function to(): int
    {
        return $this->number('to');
    }
}
