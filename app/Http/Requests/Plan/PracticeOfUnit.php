<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** The technique that a unit may try beyond its tier. */
final class PracticeOfUnit extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0'],
            'technique' => ['nullable', 'string', 'max:64'],
        ];
    }

    public function technique(): ?string
    {
        return $this->textOrNull('technique');
    }
}
