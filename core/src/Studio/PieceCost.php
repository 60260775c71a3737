<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Foundation\PerCent;

/** What painting one piece costs the studio: its minutes, its share of the setting up, paint, overhead on all of it. */
final readonly class PieceCost
{
    /** Spread of the logarithm of spent over planned minutes until the log has taught another: an assumption. */
    public const SPREAD = 0.25;

    /** Eight of ten lie within so many spreads: the normal distribution's 90 % point. */
    private const EIGHT_OF_TEN = 1.28;

    public Money $cost;

    /**
     * @param  float  $minutes  of hand work, and of setting up shared among the pieces
     * @param  Money  $paint  for one piece
     */
    public function __construct(
        public float $minutes,
        public Money $rate,
        public Money $paint,
        public PerCent $overhead,
    ) {
        $this->cost = $this->at(1.0);
    }

    /** Between which two costs it comes out eight times of ten. */
    public function band(float $spread = self::SPREAD): MoneyBand
    {
        $by = exp(self::EIGHT_OF_TEN * $spread);

        return new MoneyBand($this->at(1 / $by), $this->at($by));
    }

    /** What it is to be sold at. */
    public function markedUp(PerCent $by): Money
    {
        return $this->cost->plus($this->cost->share($by));
    }

    private function at(float $times): Money
    {
        $plain = Money::halfUp($this->minutes * $times, $this->rate)->plus($this->paint);

        return $plain->plus($plain->share($this->overhead));
    }
}
