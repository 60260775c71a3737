<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;
use App\Models\BatchRow;
use Carbon\CarbonImmutable;
use Illuminate\Validation\Rule;

/**
 * Which units are painted together, by whom, in which hours.
 *
 * @phpstan-import-type Hand from BatchRow
 */
class BatchAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'units' => ['required', 'array', 'min:1', 'max:40'],
            'units.*' => ['integer', 'distinct', 'exists:units,id'],
            'starts_at' => ['bail', 'required', 'string', 'date_format:Y-m-d\TH:i:s\Z'],
            ...$this->hands(),
        ];
    }

    /** @return array<string, mixed> */
    protected function hands(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'guns' => ['required', 'integer', 'min:1', 'max:9'],
            'fan' => ['required', 'boolean'],
            'painters' => ['required', 'array', 'min:1', 'max:9'],
            'painters.*' => ['array:user,from,to,days,largest'],
            'painters.*.user' => [
                'required',
                'integer',
                'distinct',
                Rule::exists('users', 'id')->whereNull('set_aside_at')->whereIn('role', ['lead', 'painter']),
            ],
            'painters.*.from' => ['bail', 'required', 'string', 'date_format:H:i'],
            'painters.*.to' => ['bail', 'required', 'string', 'date_format:H:i', $this->endsAfter(alike: false)],
            'painters.*.days' => ['required', 'array', 'min:1', 'max:7'],
            'painters.*.days.*' => ['integer', 'min:1', 'max:7'],
            'painters.*.largest' => ['present', 'nullable', 'integer', 'min:1', 'max:500'],
        ];
    }

    /** @return list<int> ids */
    public function units(): array
    {
        return array_map(intval(...), array_values((array) $this->validated('units')));
    }

    public function name(): string
    {
        return $this->text('name');
    }

    public function guns(): int
    {
        return $this->number('guns');
    }

    public function fan(): bool
    {
        return $this->boolean('fan');
    }

    public function startsAt(): CarbonImmutable
    {
        return CarbonImmutable::parse($this->text('starts_at'));
    }

    /** @return list<Hand> */
    public function painters(): array
    {
        return array_values(array_map(
            fn (array $p) => [
                'user' => (int) $p['user'],
                'from' => (string) $p['from'],
                'to' => (string) $p['to'],
                'days' => array_values(array_unique(array_map(intval(...), (array) $p['days']))),
                'largest' => $p['largest'] === null ? null : (int) $p['largest'],
            ],
            array_values((array) $this->validated('painters')),
        ));
    }
}
