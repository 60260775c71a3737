<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Foundation\PerCent;

/** One line of a quote: so many, at a price each, and at most at a price each. */
final readonly class QuoteLine
{
    /** @param  PerCent|null  $tax  of what is not painting; painting has the studio's */
    public function __construct(
        public QuoteLineKind $kind,
        public int $count,
        public Money $price,
        public Money $ceiling,
        public ?PerCent $tax = null,
    ) {
    }

    /** One thing at a price that does not move. */
    public static function fixed(QuoteLineKind $kind, Money $price, int $count = 1, ?PerCent $tax = null): self
    {
        return new self($kind, $count, $price, $price, $tax);
    }

    public function sum(bool $atMost = false): Money
    {
        return ($atMost ? $this->ceiling : $this->price)->times($this->count);
    }
}
