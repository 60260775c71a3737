<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\Conflict;
use App\Models\Client;
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
            $whose = isset($facts['client']) ? ['client_id' => Client::named($facts['client'])->id] : [];
            $order->update($facts + $whose + ['revision' => $revision + 1]);
            // Names of people can be erased, the log cannot.
            $plain = fn (array $of): array => array_diff_key($of, ['client' => true, 'payer' => true]);
            $this->log->write('order.edited', $order, $plain($before), $plain($facts));

            return $order->refresh();
        });
    }
}
