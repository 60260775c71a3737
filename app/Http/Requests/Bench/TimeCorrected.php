<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;

/** What a tap took instead, and why. */
final class TimeCorrected extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'logs' => ['required', 'array', 'min:1', 'max:2000'],
            'logs.*' => ['integer', 'distinct'],
            'minutes' => ['present', 'nullable', 'numeric', 'min:0', 'max:6000'],
            'reason' => ['required', 'string', 'max:300'],
        ];
    }

    /** @return list<int> ids */
    public function logs(): array
    {
        return array_map(intval(...), array_values((array) $this->validated('logs')));
    }

    public function minutes(): ?float
    {
        $minutes = $this->validated('minutes');

        return is_numeric($minutes) ? (float) $minutes : null;
    }

    public function reason(): string
    {
        return $this->text('reason');
    }
}
