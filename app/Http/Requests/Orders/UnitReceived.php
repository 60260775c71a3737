<?php

declare(strict_types=1);

namespace App\Http\Requests\Orders;

use App\Http\Requests\StudioRequest;

/** What came in of a unit. */
final class UnitReceived extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'count' => ['required', 'integer', 'min:0', 'max:500'],
            'built' => ['required', 'boolean'],
            'state' => ['nullable', 'string', 'max:500'],
            'missing' => ['present', 'array', 'max:100'],
            'missing.*.piece' => ['required', 'integer', 'min:1', 'max:500'],
            'missing.*.part' => ['required', 'string', 'max:100'],
            'spares' => ['nullable', 'string', 'max:500'],
            'base' => ['nullable', 'string', 'max:200'],
            'lies' => ['nullable', 'string', 'max:200'],
        ];
    }

    /**
     * @return array{count: int, built: bool, state: string|null, missing: list<array{piece: int, part: string}>,
     *     spares: string|null, base: string|null, lies: string|null}
     */
    public function found(): array
    {
        $missing = [];
        foreach ((array) $this->validated('missing') as $given) {
            $one = (array) $given;
            $missing[] = ['piece' => (int) ($one['piece'] ?? 0), 'part' => (string) ($one['part'] ?? '')];
        }

        return [
            'count' => $this->number('count'),
            'built' => $this->boolean('built'),
            'state' => $this->textOrNull('state'),
            'missing' => $missing,
            'spares' => $this->textOrNull('spares'),
            'base' => $this->textOrNull('base'),
            'lies' => $this->textOrNull('lies'),
        ];
    }
}
