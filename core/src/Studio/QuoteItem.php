<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;

/** Something of a quote that the next version can have otherwise. */
final readonly class QuoteItem
{
    /**
     * @param  string  $id  by which it is known again in another version
     * @param  string|null  $tier  name of the tier of a unit
     * @param  Money  $price  of one
     */
    public function __construct(
        public string $id,
        public string $words,
        public ?string $tier,
        public int $count,
        public Money $price,
    ) {
    }

    public function sum(): Money
    {
        return $this->price->times($this->count);
    }
}
