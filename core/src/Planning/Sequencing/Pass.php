<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/**
 * One pot taken over all the areas that want it: the bench's unit of work. Steps are named by their place in the
 * ordered list, from 0. Minutes count the handling once, for the area where it is dearest.
 */
final readonly class Pass
{
    /**
     * @param  non-empty-list<int>  $steps
     * @param  list<Slip>  $slips  what is put right on neighbouring areas; within its minutes
     */
    public function __construct(
        public array $steps,
        public float $minutes,
        public float $drying,
        public array $slips = [],
    ) {
    }
}
