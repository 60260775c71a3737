<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;

/** Finished pieces that are offered to the check together. */
class PiecesOffered extends StudioRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'pieces' => ['required', 'array', 'min:1', 'max:500'],
            'pieces.*' => ['integer'],
        ];
    }

    /** @return list<int> ids */
    final public function pieces(): array
    {
        return array_map(intval(...), array_values((array) $this->validated('pieces')));
    }
}
