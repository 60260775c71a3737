<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\SchemeRefused;
use App\Models\Order;
use App\Models\Scheme;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Gives an order its scheme, its reference picture, or both. */
final class ColourOrder
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  array{scheme?: string|null, reference?: string|null}  $facts  a slug and a hash; only what changes
     *
     * @throws SchemeRefused when a unit of the order is on the bench
     */
    public function __invoke(Order $order, array $facts): Order
    {
        return DB::transaction(function () use ($order, $facts): Order {
            if (array_key_exists('scheme', $facts) && $order->units()->whereNotNull('released_at')->exists()) {
                throw SchemeRefused::inUse();
            }
            $before = ['scheme_id' => $order->scheme_id, 'reference' => $order->reference];
            $after = [];
            if (array_key_exists('scheme', $facts)) {
                $after['scheme_id'] = Scheme::query()->where('slug', $facts['scheme'])->value('id');
            }
            if (array_key_exists('reference', $facts)) {
                $after['reference'] = $facts['reference'];
            }
            $order->update($after);
            $this->log->write('order.scheme', $order, $before, $after + $before);

            return $order->refresh();
        });
    }
}
