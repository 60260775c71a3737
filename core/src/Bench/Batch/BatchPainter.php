<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** Somebody who paints a batch, with the hours they have. */
final readonly class BatchPainter
{
    /**
     * @param  int|null  $largest  how many pieces they have begun and not finished at most
     * @param  list<array{float, float}>  $hours  from and to, in minutes from the batch's beginning, in their order;
     *     none: one day without an end
     * @param  list<int>  $days  by the place of the hours: the day they lie on
     */
    public function __construct(
        public string $key,
        public int $skill = 5,
        public ?int $largest = null,
        public array $hours = [],
        public array $days = [],
    ) {
    }

    /**
     * The first moment from which so many minutes go without a break, and the day it lies on.
     *
     * @return array{float, int}|null null: they have no such hours any more
     */
    public function room(float $from, float $minutes): ?array
    {
        if ($this->hours === []) {
            return [$from, 0];
        }
        foreach ($this->hours as $i => [$begins, $ends]) {
            $start = max($from, $begins);
            if ($start + $minutes <= $ends + 1e-6) {
                return [$start, $this->days[$i] ?? $i];
            }
        }

        return null;
    }

    /** Minutes between two moments in which they are at work. */
    public function within(float $from, float $to): float
    {
        if ($this->hours === []) {
            return max(0.0, $to - $from);
        }
        $minutes = 0.0;
        foreach ($this->hours as [$begins, $ends]) {
            $minutes += max(0.0, min($to, $ends) - max($from, $begins));
        }

        return $minutes;
    }

    /** The day that a moment lies on; null: outside their hours. */
    public function dayAt(float $moment): ?int
    {
        foreach ($this->hours as $i => [$begins, $ends]) {
            if ($begins - 1e-6 <= $moment && $moment <= $ends + 1e-6) {
                return $this->days[$i] ?? $i;
            }
        }

        return $this->hours === [] ? 0 : null;
    }
}
