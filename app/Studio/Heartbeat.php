<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Support\Facades\Cache;

/** The sign of life of the queue worker, left now and then while it waits for work. */
final class Heartbeat
{
    private const EVERY_SECONDS = 15;

    private const FRESH_SECONDS = 90;

    private int $last = 0;

    public function beat(): void
    {
        if (time() - $this->last >= self::EVERY_SECONDS) {
            $this->last = time();
            Cache::put('worker.beat', $this->last, self::FRESH_SECONDS);
        }
    }

    public function isFresh(): bool
    {
        return Cache::has('worker.beat');
    }
}
