<?php

declare(strict_types=1);

namespace App\Http\Requests\Standard;

use App\Http\Requests\StudioRequest;

/** One clause that a tier is to have no more. */
final class ClauseRemoved extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'tier' => ['required', 'string'],
            'clause' => ['required', 'string'],
            'revision' => ['required', 'integer', 'min:0'],
        ];
    }

    public function tier(): string
    {
        return $this->text('tier');
    }

    /** Its id. */
    public function clause(): string
    {
        return $this->text('clause');
    }
}
