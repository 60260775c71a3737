<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;

/** With how many painters, and whether air is moved over the paint. */
final class ForecastAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'painters' => ['sometimes', 'integer', 'min:1', 'max:9'],
            'fan' => ['sometimes', 'in:0,1,true,false'],
        ];
    }

    public function painters(): int
    {
        return $this->numberOrNull('painters') ?? 1;
    }

    public function fan(): bool
    {
        return $this->boolean('fan');
    }
}
