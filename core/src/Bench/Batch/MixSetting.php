<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** How a painter chooses what comes next, in the own mix. */
final readonly class MixSetting
{
    /**
     * @param  int  $run  pieces at most that one pot goes over at a time
     * @param  float  $chain  what a minute of the longest chain to come weighs
     * @param  float  $wait  what a minute of waiting weighs
     * @param  float  $setup  what a minute of set-up weighs, shared over the run
     * @param  float  $stay  for staying with the pot in hand
     * @param  float  $spray  for what goes to the spraying station
     * @param  float  $feed  for what must be done before something is sprayed
     * @param  float  $patience  minutes that a run waits for its next piece
     * @param  int  $wave  pieces that go ahead together; 0: all
     * @param  float  $ahead  for a piece of an earlier wave
     */
    public function __construct(
        public int $run,
        public float $chain = 1.0,
        public float $wait = 1.0,
        public float $setup = 1.0,
        public float $stay = 4.0,
        public float $spray = 0.0,
        public float $patience = 2.0,
        public int $wave = 0,
        public float $feed = 0.0,
        public float $ahead = 1e4,
    ) {
    }
}
