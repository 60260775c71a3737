<?php

declare(strict_types=1);

namespace App\Http\Requests\Standard;

use App\Http\Requests\StudioRequest;

/** The draft made binding, with a note for those who read the versions later. */
final class Publication extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'note' => ['required', 'string', 'max:2000'],
        ];
    }

    public function note(): string
    {
        return $this->text('note');
    }
}
