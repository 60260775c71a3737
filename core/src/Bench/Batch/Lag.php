<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** What must lie between the end of one operation and the start of another. Operations are named by their places. */
final readonly class Lag
{
    /**
     * @param  float  $minutes  at least: drying, or the wait for an answer
     * @param  float|null  $wet  at most: the second goes into what is still wet
     */
    public function __construct(
        public int $from,
        public int $to,
        public float $minutes,
        public LagWhy $why,
        public ?float $wet = null,
    ) {
    }
}
