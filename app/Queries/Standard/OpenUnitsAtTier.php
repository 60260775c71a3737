<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Models\Order;
use Illuminate\Database\Eloquent\Builder;
use Ordotype\Core\Studio\OrderStatus;

/** Orders that are not finished and have units at a tier: what its retirement would leave standing. */
final class OpenUnitsAtTier
{
    /** So many orders are named, the most urgent first. */
    private const ORDERS_NAMED = 12;

    /** @return array{units: int, orders: list<string>, further_orders: int} */
    public function of(string $tier): array
    {
        $at = fn (Builder $units) => $units->where('tier', $tier);
        $orders = Order::query()
            ->where('settled', 0)
            ->whereNotIn('status', OrderStatus::finished())
            ->whereHas('units', $at)
            ->withCount(['units' => $at])
            ->orderBy('due_key')
            ->orderBy('number')
            ->get(['number']);

        return [
            'units' => (int) $orders->sum('units_count'),
            'orders' => array_values($orders->take(self::ORDERS_NAMED)->pluck('number')->all()),
            'further_orders' => max(0, $orders->count() - self::ORDERS_NAMED),
        ];
    }
}
