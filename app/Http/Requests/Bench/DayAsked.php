<?php

declare(strict_types=1);

namespace App\Http\Requests\Bench;

use App\Http\Requests\StudioRequest;
use App\Studio\Today;

/** Which day of the studio's calendar; today where none is named. */
final class DayAsked extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['on' => ['bail', 'sometimes', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01']];
    }

    public function on(Today $today): string
    {
        return $this->textOrNull('on') ?? $today->day();
    }
}
