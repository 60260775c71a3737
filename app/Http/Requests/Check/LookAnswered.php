<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Http\Requests\StudioRequest;

/** One answer to all of a look that is still open. */
class LookAnswered extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'look' => ['required', 'string', 'max:40'],
            'answer' => ['required', 'in:yes,not_seen,not_applicable'],
            'note' => ['nullable', 'string', 'max:1000'],
        ];
    }

    public function look(): string
    {
        return $this->text('look');
    }

    public function answer(): string
    {
        return $this->text('answer');
    }

    public function note(): ?string
    {
        return $this->textOrNull('note');
    }
}
