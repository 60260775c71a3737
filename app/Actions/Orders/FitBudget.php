<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Actions\Plan\ArrangeUnit;
use App\Models\Order;
use App\Models\Unit;
use App\Queries\Orders\BudgetForOrder;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Foundation\Money;

/** Moves the units of an order to the highest tiers that fit an amount: all of them, or none. */
final class FitBudget
{
    public function __construct(private readonly BudgetForOrder $budget, private readonly ArrangeUnit $arrange)
    {
    }

    public function __invoke(Order $order, int $revision, Money $amount): Order
    {
        return DB::transaction(function () use ($order, $revision, $amount): Order {
            $order = $order->lockedAt($revision);
            foreach ($this->budget->of($order, $amount)['units'] as $unit) {
                if ($unit['moves']) {
                    $row = Unit::query()->findOrFail($unit['id']);
                    // A price that was set was for the tier it leaves.
                    $row->update(['price' => null, 'ceiling' => null]);
                    $this->arrange->move($row, $unit['tier'], $row->revision);
                }
            }
            $order->update(['revision' => $revision + 1]);

            return $order->refresh();
        });
    }
}
