<?php

declare(strict_types=1);

namespace App\Http\Requests\Photographs;

use App\Http\Requests\StudioRequest;
use Illuminate\Validation\Rule;
use Ordotype\Core\Standard\Criterion;

/** A limit that somebody thinks of setting. */
final class LimitAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'criterion' => ['required', 'string', Rule::enum(Criterion::class)],
            'limit' => ['required', 'numeric', 'between:-1000,1000'],
        ];
    }

    public function criterion(): Criterion
    {
        return Criterion::from($this->text('criterion'));
    }

    public function limit(): float
    {
        return (float) $this->text('limit');
    }
}
