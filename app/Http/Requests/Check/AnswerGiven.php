<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Actions\Check\JudgeFaults;
use App\Http\Requests\StudioRequest;

/**
 * What was seen where a checkpoint looks.
 *
 * @phpstan-import-type Found from JudgeFaults
 */
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
            ...FaultSent::fields('faults.*.'),
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

    /** @return list<Found> */
    public function faults(): array
    {
        return array_map(FaultSent::read(...), array_values((array) ($this->validated('faults') ?? [])));
    }
}
