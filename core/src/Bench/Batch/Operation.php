<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** One coat of one pass on one piece: what somebody takes a brush for. Minutes are hand minutes. */
final readonly class Operation
{
    /**
     * @param  int  $piece  its number in the batch
     * @param  int  $turn  its place in the plan's order of work
     * @param  string  $pot  technique and paint; operations that share one share its set-up
     * @param  bool  $isSprayed  it is done at the spraying station
     * @param  float  $setup  minutes to lay the pot out
     * @param  bool  $begins  from here on a piece is begun: underlay or base
     * @param  list<string>  $steps  keys of the steps that are done with it
     */
    public function __construct(
        public int $piece,
        public int $turn,
        public string $pot,
        public float $minutes,
        public float $setup = 0.0,
        public bool $isSprayed = false,
        public int $skill = 1,
        public bool $begins = false,
        public array $steps = [],
    ) {
    }
}
