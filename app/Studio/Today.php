<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Studio;
use Illuminate\Support\Carbon;

/** Which day it is where the studio is; asked once in a request. */
final class Today
{
    private ?Carbon $start = null;

    /** As year-month-day. */
    public function day(): string
    {
        return $this->start()->format('Y-m-d');
    }

    /** The day so many days on, as year-month-day. */
    public function plus(int $days): string
    {
        return $this->start()->addDays($days)->format('Y-m-d');
    }

    private function start(): Carbon
    {
        $this->start ??= now(Studio::row()->time_zone)->startOfDay();

        return $this->start->copy();
    }
}
