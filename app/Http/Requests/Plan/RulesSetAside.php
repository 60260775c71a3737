<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** Rules of order between steps that are set aside together, with one reason. */
final class RulesSetAside extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'rules' => ['required', 'array', 'min:1', 'max:200'],
            'rules.*.rule' => ['required', 'string'],
            'rules.*.earlier' => ['required', 'string', 'max:190'],
            'rules.*.later' => ['required', 'string', 'max:190'],
            'reason' => ['required', 'string', 'max:500'],
        ];
    }

    /** @return list<array{rule: string, earlier: string, later: string}> */
    public function setAside(): array
    {
        return array_map(
            fn (array $r) => [
                'rule' => (string) $r['rule'],
                'earlier' => (string) $r['earlier'],
                'later' => (string) $r['later'],
            ],
            array_values((array) $this->validated('rules')),
        );
    }

    public function reason(): string
    {
        return $this->text('reason');
    }
}
