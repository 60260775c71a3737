<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Order;
use App\Models\Unit;
use App\Repositories\Amendments;
use App\Repositories\Standards;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Studio\UnitPrice;

/** What a piece of a unit costs: what the lead set, else the middle of the card's range; with what amendments add. */
final class UnitPrices
{
    public function __construct(
        private readonly Standards $standards,
        private readonly Amendments $amendments,
        private readonly Today $today,
    ) {
    }

    /** The card's range for the unit's tier, size and role. */
    public function range(Unit $unit, ?string $tier = null): ?PriceRange
    {
        foreach ($this->standards->core($unit->order->version)->prices as $range) {
            if (
                $range->tier === ($tier ?? $unit->tier) &&
                $range->size->value === $unit->sculpt->size &&
                $range->role->value === $unit->sculpt->role
            ) {
                return $range;
            }
        }

        return null;
    }

    /**
     * A price and the most it can come to, for a piece.
     *
     * @param  string|null  $tier  another than its own
     */
    public function of(Unit $unit, ?string $tier = null): ?UnitPrice
    {
        $own = $tier === null || $tier === $unit->tier;
        $set = $own ? $unit->price ?? $this->before($unit) : null;

        return UnitPrice::of(
            $this->range($unit, $tier),
            Money::ofOrNull($set),
            Money::ofOrNull($own ? $unit->ceiling : null),
        );
    }

    /** As it was agreed, else as it would be quoted; null: nobody said one, and the card has none that ends. */
    public function ofPiece(Unit $unit): ?Money
    {
        return Money::ofOrNull($unit->agreed_price) ?? $this->of($unit)?->price;
    }

    /** Of all its pieces that are still to be delivered, with what amendments add to it. */
    public function ofUnit(Unit $unit): ?Money
    {
        return $this->ofPiece($unit)?->times($unit->standing()->count())->plus($this->added($unit));
    }

    /** What amendments that were agreed add to it. */
    public function added(Unit $unit): Money
    {
        return Money::sum(
            array_map(fn (array $a) => Money::of($a['price']), $this->amendments->agreedPrices($unit)),
        );
    }

    /** Whether there is a unit, and each has a price and the most it can come to. */
    public function isPriced(Order $order): bool
    {
        return $order->units->isNotEmpty() &&
            $order->units->every(fn (Unit $u) => $this->of($u->setRelation('order', $order)) !== null);
    }

    /** The price of the same figure at the same tier in the order whose army this one goes on with, while it holds. */
    private function before(Unit $unit): ?string
    {
        $order = $unit->order;
        if ($order->continues_id === null || $order->prices_until?->format('Y-m-d') < $this->today->day()) {
            return null;
        }
        $same = $order->continues?->units
            ->where('sculpt_id', $unit->sculpt_id)
            ->where('tier', $unit->tier)
            ->whereNotNull('agreed_price')
            ->last();

        return $same?->agreed_price;
    }
}
