<?php

declare(strict_types=1);

namespace App\Http\Requests\Standard;

use App\Formats\Amounts;
use App\Http\Requests\StudioRequest;
use stdClass;

/** One clause of a tier, as it is to be. */
final class ClauseWritten extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'tier' => ['required', 'string', 'max:64'],
            'revision' => ['required', 'integer', 'min:0'],
            'clause' => ['required', 'array'],
        ];
    }

    public function tier(): string
    {
        return $this->text('tier');
    }

    public function clause(): stdClass
    {
        return Amounts::in($this->object('clause')) ?? new stdClass();
    }
}
