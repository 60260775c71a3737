<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What was seen where a question of the check looks. */
final class AnswerGiven extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'question' => ['required', 'string', 'max:190'],
            'answer' => ['required', 'in:yes,fault,not_seen,not_applicable'],
            'note' => ['nullable', 'string', 'max:1000'],
            'faults' => ['array', 'max:20'],
            'faults.*.fault' => ['required', 'string'],
            'faults.*.area' => ['nullable', 'string'],
            'faults.*.spread' => ['required', 'in:spot,patch,whole'],
            'faults.*.size_mm' => ['nullable', 'numeric', 'min:0.01', 'max:500'],
        ];
    }

    public function question(): string
    {
        return $this->text('question');
    }

    public function answer(): string
    {
        return $this->text('answer');
    }

    public function note(): ?string
    {
        return $this->textOrNull('note');
    }

    /** @return list<array{fault: string, area: string|null, spread: string, size_mm: float|null}> */
    public function faults(): array
    {
        return array_map(
            fn (array $f) => [
                'fault' => (string) $f['fault'],
                'area' => isset($f['area']) ? (string) $f['area'] : null,
                'spread' => (string) $f['spread'],
                'size_mm' => isset($f['size_mm']) ? (float) $f['size_mm'] : null,
            ],
            array_values((array) ($this->validated('faults') ?? [])),
        );
    }
}
