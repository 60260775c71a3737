<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Order;
use App\Models\Unit;
use App\Repositories\Amendments;
use App\Repositories\Standards;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Standard\PriceRange;

/** What a piece of a unit costs: what the lead set, else the middle of the card's range; with what amendments add. */
final class UnitPrices
{
    public function __construct(private readonly Standards $standards, private readonly Amendments $amendments)
    {
    }

    /** The card's range for the unit's tier, size and role. */
    public function range(Unit $unit): ?PriceRange
    {
        foreach ($this->standards->core($unit->order->version)->prices as $range) {
            if (
                $range->tier === $unit->tier &&
                $range->size->value === $unit->sculpt->size &&
                $range->role->value === $unit->sculpt->role
            ) {
                return $range;
            }
        }

        return null;
    }

    /** Null: nobody said one, and the card has none that ends. */
    public function ofPiece(Unit $unit): ?Money
    {
        if ($unit->price !== null) {
            return Money::of($unit->price);
        }
        $range = $this->range($unit);
        if ($range === null || $range->high === null) {
            return null;
        }

        return Money::ofCents(intdiv(Money::of($range->low)->cents + Money::of($range->high)->cents + 1, 2));
    }

    /** Of all its pieces that are still to be delivered, with what amendments add to it. */
    public function ofUnit(Unit $unit): ?Money
    {
        $price = $unit->agreed_price !== null ? Money::of($unit->agreed_price) : $this->ofPiece($unit);
        $added = Money::none();
        foreach ($this->amendments->agreedPrices($unit) as $agreed) {
            $added = $added->plus(Money::of($agreed['price']));
        }

        return $price?->times($unit->standing()->count())->plus($added);
    }

    /** Null where a unit has no price. */
    public function total(Order $order): ?Money
    {
        $total = Money::none();
        foreach ($order->units as $unit) {
            $sum = $this->ofUnit($unit->setRelation('order', $order));
            if ($sum === null) {
                return null;
            }
            $total = $total->plus($sum);
        }

        return $total;
    }
}
