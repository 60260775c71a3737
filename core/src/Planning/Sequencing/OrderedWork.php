<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/**
 * The steps of a plan in an order that works, with the rules that hold each, the passes, and circles that were found.
 */
final readonly class OrderedWork
{
    /**
     * @param  list<Step>  $steps  in order
     * @param  list<list<Rule>>  $held  for each step the rules that hold it where it is
     * @param  list<Pass>  $passes
     * @param  list<Cycle>  $cycles
     * @param  float  $idleMinutes  that the painter waits for paint to dry, working the batch step by step
     * @param  float  $criticalPath  minutes of the longest chain of work and drying on one piece
     */
    public function __construct(
        public array $steps,
        public array $held,
        public array $passes,
        public array $cycles,
        public float $idleMinutes,
        public float $criticalPath,
    ) {
    }

    /** Minutes of one piece for putting right what strays onto finished work. */
    public function slipMinutes(): float
    {
        $slips = array_merge(...array_map(fn (Pass $pass) => $pass->slips, $this->passes));

        return array_sum(array_map(fn (Slip $slip) => $slip->minutes, $slips));
    }

    /** Hand minutes of one piece, worked in passes that need their handling once, slips put right. */
    public function handMinutes(): float
    {
        return array_sum(array_map(fn (Pass $pass) => $pass->minutes, $this->passes));
    }

    /**
     * The key of each step, in their order. Where pieces of a unit get one step in different paints, the paint is part
     * of
     * it.
     *
     * @return list<StepKey>
     */
    public function keys(): array
    {
        $times = array_count_values(array_map(fn (Step $s) => $s->key()->id, $this->steps));

        return array_map(fn (Step $s) => $times[$s->key()->id] === 1 ? $s->key() : $s->paintedKey(), $this->steps);
    }

    /**
     * The keys under which steps of one kind of piece are known in this work.
     *
     * @param  list<Step>  $steps  each of them part of this work
     * @return list<StepKey>
     */
    public function keysOf(array $steps): array
    {
        $keys = [];
        foreach ($this->keys() as $i => $key) {
            $keys[$this->steps[$i]->paintedKey()->id] = $key;
        }

        return array_map(fn (Step $s) => $keys[$s->paintedKey()->id], $steps);
    }
}
