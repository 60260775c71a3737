<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use Ordotype\Core\Standard\Gate;

/** Models that are let past a gate, or kept there. */
final class GateAnswered extends GateWord
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + [
            'gate' => ['required', 'in:'.implode(',', array_column(Gate::cases(), 'value'))],
            'pieces' => ['required', 'array', 'min:1', 'max:500'],
            'pieces.*' => ['integer'],
        ];
    }

    public function gate(): Gate
    {
        return Gate::from($this->text('gate'));
    }

    /** @return list<int> ids */
    public function pieces(): array
    {
        return array_map(intval(...), $this->texts('pieces'));
    }
}
