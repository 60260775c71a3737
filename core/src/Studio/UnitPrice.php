<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Standard\PriceRange;

/**
 * What a piece of a unit costs, and at most. The price is what the lead sets, else the middle of the card's range; the
 * ceiling is its high end. Where the range is open, or the tier is, both are typed.
 */
final readonly class UnitPrice
{
    private function __construct(public Money $price, public Money $ceiling)
    {
    }

    /**
     * @param  PriceRange|null  $range  of the card; null: the tier is quoted by hand
     * @param  Money|null  $set  by the lead, or agreed before
     * @param  Money|null  $ceiling  typed
     * @return self|null null: nobody said a price, or the most it can come to
     */
    public static function of(?PriceRange $range, ?Money $set, ?Money $ceiling): ?self
    {
        $high = Money::ofOrNull($range?->high);
        $price = $set ?? ($range === null || $high === null ? null : Money::middle(Money::of($range->low), $high));
        $most = $high ?? $ceiling;
        if ($price === null || $most === null) {
            return null;
        }

        // A price agreed beside the card can lie above it.
        return new self($price, $most->isLessThan($price) ? $price : $most);
    }

    /** Whether a price may be set: within the card, where it has one. A lower one is a discount, which has a reason. */
    public static function isWithin(?PriceRange $range, Money $set): bool
    {
        $high = Money::ofOrNull($range?->high);

        return $range === null ||
            (! $set->isLessThan(Money::of($range->low)) && ($high === null || ! $high->isLessThan($set)));
    }
}
