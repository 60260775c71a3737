<?php

declare(strict_types=1);

namespace App\Http\Requests\Session;

use App\Http\Requests\StudioRequest;
use Illuminate\Validation\Rule;

/** What a lead says of somebody who works here; of one who is there already, only what changes. */
final class PersonFacts extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $there = $this->isMethod('PUT');
        $needed = $there ? ['sometimes', 'required'] : ['required'];

        return [
            'revision' => $there ? ['required', 'integer', 'min:0'] : ['prohibited'],
            'name' => [...$needed, 'string', 'max:100'],
            'email' => [...$needed, 'string', 'email', 'max:200'],
            'role' => [...$needed, 'string', Rule::in(['lead', 'painter', 'desk'])],
            'may_sign' => [...$needed, 'boolean'],
            'skill' => [...$needed, 'integer', 'between:1,5'],
            'hours_week' => ['sometimes', 'nullable', 'numeric', 'between:0,100'],
            'largest_batch' => ['sometimes', 'nullable', 'integer', 'between:1,500'],
            'away' => ['sometimes', 'array', 'max:40'],
            'away.*' => ['array:from,to'],
            'away.*.from' => ['bail', 'required', 'string', 'date_format:Y-m-d'],
            'away.*.to' => ['bail', 'required', 'string', 'date_format:Y-m-d', $this->endsAfter(alike: true)],
        ];
    }

    /**
     * @return array{name: string, email: string, role: string, may_sign: bool, skill: int, hours_week: float|null,
     *     largest_batch: int|null, away: list<array{from: string, to: string}>}
     */
    public function whole(): array
    {
        $hours = $this->validated('hours_week');

        return [
            'name' => $this->text('name'),
            'email' => $this->text('email'),
            'role' => $this->text('role'),
            'may_sign' => $this->boolean('may_sign'),
            'skill' => $this->number('skill'),
            'hours_week' => is_numeric($hours) ? (float) $hours : null,
            'largest_batch' => $this->numberOrNull('largest_batch'),
            'away' => array_map(
                fn (array $days) => ['from' => (string) $days['from'], 'to' => (string) $days['to']],
                array_values((array) ($this->validated('away') ?? [])),
            ),
        ];
    }

    /** @return array<string, mixed> by their names, only what was sent */
    public function changes(): array
    {
        return array_intersect_key($this->whole(), (array) $this->validated());
    }
}
