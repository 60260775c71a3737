<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;

/** What is owed of one unit of an order that ends early: signed pieces at their price, begun ones by their minutes. */
final readonly class OwedLine
{
    public Money $sum;

    /**
     * @param  Money  $price  agreed, a piece
     * @param  float  $minutes  spent on pieces that were begun and are not signed
     * @param  Money  $rate  of an hour
     */
    public function __construct(
        public string $unit,
        public int $signed,
        public Money $price,
        public float $minutes,
        public Money $rate,
    ) {
        $this->sum = $price->times($signed)->plus(Money::halfUp($minutes, $rate));
    }
}
