<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Order;
use App\Models\Scheme;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Opens an order in the standard as it is published today. */
final class OpenOrder
{
    public function __construct(private readonly Standards $standards, private readonly ActivityLog $log)
    {
    }

    /**
     * @param  string|null  $dueOn  as year-month-day
     * @param  string|null  $scheme  a slug; null: the same client's last scheme, or none
     */
    public function __invoke(string $client, string $title, ?string $brief, ?string $dueOn, ?string $scheme): Order
    {
        return DB::transaction(function () use ($client, $title, $brief, $dueOn, $scheme): Order {
            $order = Order::query()->create([
                'number' => $this->number(),
                'client' => $client,
                'title' => $title,
                'brief' => $brief,
                'status' => 'draft',
                'due_on' => $dueOn,
                'standard_version_id' => $this->standards->current()->id,
                // Colours are the client's: the same client's last, or none until somebody chooses.
                'scheme_id' => $scheme !== null
                        ? Scheme::query()->where('slug', $scheme)->value('id')
                        : Order::query()->where('client', $client)->orderByDesc('id')->value('scheme_id'),
            ]);
            $this->log->write('order.created', $order, null, [
                'client' => $client,
                'title' => $title,
                'due_on' => $dueOn,
            ]);

            return $order->refresh();
        });
    }

    /** The next one that no order has, from a sequence: nobody waits for somebody else's order to be written. */
    private function number(): string
    {
        do {
            $next = DB::selectOne('select nextval(order_numbers) as next');
            $number = sprintf('%s-%03d', now()->format('y'), is_object($next) ? (int) $next->next : 0);
        } while (Order::query()->where('number', $number)->exists());

        return $number;
    }
}
