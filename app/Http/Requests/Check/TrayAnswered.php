<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

/** One answer to a look of every model that is offered, but some. */
final class TrayAnswered extends LookAnswered
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + ['except' => ['array', 'max:500'], 'except.*' => ['integer']];
    }

    /** @return list<int> ids of pieces */
    public function leftOut(): array
    {
        return array_map(intval(...), $this->texts('except'));
    }
}
