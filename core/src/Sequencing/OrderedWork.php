<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

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
     * @param  float  $waiting  minutes the painter waits for paint to dry, working the batch step by step
     * @param  float  $longestChain  minutes of the longest chain of work and drying on one piece
     */
    public function __construct(
        public array $steps,
        public array $held,
        public array $passes,
        public array $cycles,
        public float $waiting,
        public float $longestChain,
    ) {
    }
}
