<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\OldRevision;

/** Finished models that get something more so that they are not clones. */
final class VariantsGivenLate extends OldRevision
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + [
            'pieces' => ['required', 'array', 'min:1', 'max:500'],
            'pieces.*' => ['integer'],
            'area' => ['required', 'string', 'max:64'],
            'technique' => ['required', 'string', 'max:64'],
        ];
    }

    /** @return list<int> ids */
    public function pieces(): array
    {
        return array_map(intval(...), $this->texts('pieces'));
    }

    public function area(): string
    {
        return $this->text('area');
    }

    public function technique(): string
    {
        return $this->text('technique');
    }
}
