<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\Conflict;
use App\Models\Order;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Changes what was written down of an order: whose it is, its name, its brief, its day. */
final class EditOrder
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  int  $revision  the one that was looked at
     * @param  array<string, string|null>  $facts  what changes of {@see Order::facts}
     *
     * @throws Conflict when it is not the one that was looked at
     */
    public function __invoke(Order $order, int $revision, array $facts): Order
    {
        return DB::transaction(function () use ($order, $revision, $facts): Order {
            $order = $order->lockedAt($revision);
            $before = array_intersect_key($order->facts(), $facts);
            if ($before == $facts) {
                return $order;
            }
            $order->update($facts + ['revision' => $revision + 1]);
            $this->log->write('order.edited', $order, $before, $facts);

            return $order->refresh();
        });
    }
}
