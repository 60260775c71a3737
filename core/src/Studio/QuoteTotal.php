<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;

/** What the lines of a quote come to. */
final readonly class QuoteTotal
{
    /**
     * @param  list<Money>  $lines  in their order
     * @param  Money  $discount  what comes off, 0 or more
     * @param  array<array-key, Money>  $taxes  by rate in per cent, as a decimal; in the sum or contained in it
     * @param  Money  $sum  what is paid, with tax
     */
    public function __construct(
        public array $lines,
        public Money $discount,
        public array $taxes,
        public Money $sum,
    ) {
    }
}
