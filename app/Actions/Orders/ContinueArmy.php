<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Models\Order;
use App\Models\Scheme;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Opens an order that goes on with the army of another: its client, colours, standard, and its prices until a day. */
final class ContinueArmy
{
    public function __construct(private readonly OpenOrder $open, private readonly ActivityLog $log)
    {
    }

    public function __invoke(Order $before, string $until): Order
    {
        return DB::transaction(function () use ($before, $until): Order {
            $scheme = $before->scheme_id === null ? null : Scheme::query()->find($before->scheme_id)?->slug;
            $order = ($this->open)($before->client, $before->title, null, null, $scheme);
            $order->update([
                'client_id' => $before->client_id,
                'payer' => $before->payer,
                'standard_version_id' => $before->standard_version_id,
                'scheme_id' => $before->scheme_id,
                'continues_id' => $before->id,
                'prices_until' => $until,
            ]);
            $this->log->write('order.continued', $order, null, ['of' => $before->number, 'until' => $until]);

            return $order->refresh();
        });
    }
}
