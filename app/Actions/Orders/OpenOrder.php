<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Models\Client;
use App\Models\Order;
use App\Models\Scheme;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Studio\OrderStatus;

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
                'client_id' => Client::named($client)->id,
                'title' => $title,
                'brief' => $brief,
                'status' => OrderStatus::Draft,
                'due_on' => $dueOn,
                'standard_version_id' => $this->standards->current()->id,
                // Colours are the client's: the same client's last, or none until somebody chooses.
                'scheme_id' => $scheme !== null
                        ? Scheme::query()->where('slug', $scheme)->value('id')
                        : Order::query()->where('client', $client)->orderByDesc('id')->value('scheme_id'),
            ]);
            $this->log->write('order.created', $order, null, [
                'title' => $title,
                'due_on' => $dueOn,
            ]);

            return $order->refresh();
        });
    }

    /** The next one that no order has, from a sequence: nobody waits for somebody else's order to be written. */
    private function number(): string
    {
        // Orders that came in a file brought numbers of their own; the sequence goes on after the highest.
        $year = now()->format('y');
        $last = (int) Order::query()
            ->where('number', 'regexp', "^$year-[0-9]{1,9}$")
            ->max(DB::raw('cast(substring(number, 4) as unsigned)'));
        DB::select("select setval(order_numbers, $last)"); // a number, since no other value is taken here
        do {
            $next = DB::selectOne('select nextval(order_numbers) as next');
            $number = sprintf('%s-%03d', $year, is_object($next) ? (int) $next->next : 0);
        } while (Order::query()->where('number', $number)->exists());

        return $number;
    }
}
