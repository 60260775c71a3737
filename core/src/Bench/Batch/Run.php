<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** One pot in one hand over several pieces, one after the other. */
final readonly class Run
{
    /**
     * @param  int  $painter  place among the painters
     * @param  float  $from  when the pot is laid out
     * @param  float  $setup  minutes of that, which were paid
     * @param  bool  $isChange  another pot was in hand before
     * @param  list<int>  $operations  in their order
     * @param  float  $waited  minutes before it in which nothing could be done
     */
    public function __construct(
        public int $painter,
        public string $pot,
        public float $from,
        public float $to,
        public float $setup,
        public bool $isChange,
        public array $operations,
        public float $waited,
    ) {
    }
}
