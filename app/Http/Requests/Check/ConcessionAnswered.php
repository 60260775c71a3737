<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Http\Requests\StudioRequest;

/** What a client says to a model that would leave with its faults. */
final class ConcessionAnswered extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['agrees' => ['required', 'boolean'], 'name' => ['required', 'string', 'max:200']];
    }

    public function agrees(): bool
    {
        return (bool) $this->validated('agrees');
    }

    public function name(): string
    {
        return $this->text('name');
    }
}
