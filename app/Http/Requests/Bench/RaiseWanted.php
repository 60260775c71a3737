<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;

/** A unit raised to a higher tier. */
final class RaiseWanted extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'tier' => ['required', 'string'],
            'from' => ['required', 'in:finished,stands'],
        ];
    }

    public function tier(): string
    {
        return $this->text('tier');
    }

    /** From what every piece has now, instead of from the finished plan. */
    public function stands(): bool
    {
        return $this->text('from') === 'stands';
    }
}
