<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** One answer to a look of every model that is offered, but some. */
final class TrayAnswered extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'look' => ['required', 'string', 'max:40'],
            'answer' => ['required', 'in:yes,not_seen,not_applicable'],
            'note' => ['nullable', 'string', 'max:1000'],
            'except' => ['array', 'max:500'],
            'except.*' => ['integer'],
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

    /** @return list<int> ids of pieces */
    public function leftOut(): array
    {
        return array_map(intval(...), $this->texts('except'));
    }
}
