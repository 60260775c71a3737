<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;
use App\Models\User;

/** How far a unit was when it came over, and who painted it. */
final class WorkTakenOver extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'passes' => ['required', 'integer', 'min:1', 'max:1000'],
            'painter' => ['required', 'integer', 'exists:users,id'],
        ];
    }

    /** How many passes are done, from the first. */
    public function passes(): int
    {
        return $this->number('passes');
    }

    public function painter(): User
    {
        return User::query()->findOrFail($this->number('painter'));
    }
}
