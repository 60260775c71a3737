<?php

declare(strict_types=1);

namespace App\Http\Requests\Certificate;

use App\Http\Requests\StudioRequest;

/** Pieces to be signed off. */
final class SignOffWanted extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'pieces' => ['required', 'array', 'min:1', 'max:500'],
            'pieces.*' => ['integer'],
            'whole' => ['nullable', 'in:one_army,clones,monotonous'],
        ];
    }

    /** How the unit looks as a whole, where somebody said so. */
    public function whole(): ?string
    {
        return $this->textOrNull('whole');
    }

    /** @return list<int> ids */
    public function pieces(): array
    {
        return array_map(intval(...), $this->texts('pieces'));
    }
}
