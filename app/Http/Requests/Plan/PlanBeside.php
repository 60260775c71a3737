<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\StudioRequest;

/** What a plan is held against: the planner's own, an aim, a tier, another unit, or one of its pieces. */
final class PlanBeside extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'with' => ['required', 'string', 'regex:/^(planner|quickest|best|tier:[\w-]+|unit:\d+|piece:\d+)$/'],
        ];
    }

    public function with(): string
    {
        return $this->text('with');
    }
}
