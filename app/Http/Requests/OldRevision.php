<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A change of something that has a revision, and of nothing else. */
class OldRevision extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
        ];
    }
}
