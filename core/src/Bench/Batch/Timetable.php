<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** When who does what of a batch. */
final readonly class Timetable
{
    /**
     * @param  list<Run>  $runs  in the order in which they begin
     * @param  list<float>  $starts  by operation
     * @param  float  $finish  the end of the last hand operation
     * @param  float  $waiting  minutes in which painters could do nothing because all was wet, or held, or in use
     * @param  list<int>  $left  operations for which nobody has the skill or the hours
     */
    public function __construct(
        public array $runs,
        public array $starts,
        public float $finish,
        public float $waiting,
        public array $left = [],
        public bool $isProven = false,
    ) {
    }

    /** How often a pot was taken up that was not in hand. */
    public function changes(): int
    {
        return count(array_filter($this->runs, fn (Run $r) => $r->setup > 0 || $r->isChange));
    }

    public function proven(): self
    {
        return new self($this->runs, $this->starts, $this->finish, $this->waiting, $this->left, true);
    }
}
