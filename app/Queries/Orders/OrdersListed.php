<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Http\Requests\Orders\ListOrders;
use App\Models\Order;
use App\Models\StandardVersion;
use App\Queries\Keyset;
use App\Queries\Like;
use App\Repositories\Standards;
use App\Studio\Today;
use Illuminate\Database\Eloquent\Builder;
use Ordotype\Core\Studio\OrderStatus;

/** Orders, what is still to be done first, by the day on which they are due; narrowed and sorted as asked. */
final class OrdersListed
{
    private const PAGE = 50;

    /** Columns, and whether they fall. */
    private const SORTS = [
        'due' => ['orders.settled' => false, 'orders.due_key' => false, 'orders.id' => false],
        'latest' => ['orders.id' => true],
        'client' => ['orders.client' => false, 'orders.id' => false],
        'title' => ['orders.title' => false, 'orders.id' => false],
    ];

    public function __construct(
        private readonly OrderBrief $brief,
        private readonly Standards $standards,
        private readonly Today $today,
    ) {
    }

    /**
     * @return array{data: list<array<string, mixed>>, next_cursor: string|null,
     *     tiers: list<array{key: string, name: string}>}
     */
    public function page(ListOrders $asked): array
    {
        $sort = $asked->sort();
        $orders = Order::query()->with([
            'units:id,order_id,sculpt_id,tier,label,released_at,revision',
            'units.sculpt:id,name',
            'units.pieces:id,unit_id,number,code,stage',
            'version:'.implode(',', StandardVersion::BRIEF),
        ]);
        $this->narrow($orders, $asked);
        [$page, $next] = (new Keyset("orders.$sort", self::SORTS[$sort]))
            ->page($orders, $asked->cursor(), self::PAGE);

        return [
            'data' => array_map($this->brief->of(...), $page),
            'next_cursor' => $next,
            'tiers' => $this->standards->tiersInForce(),
        ];
    }

    /** @param  Builder<Order>  $orders */
    private function narrow(Builder $orders, ListOrders $asked): void
    {
        $find = $asked->find();
        if ($find !== null) {
            $like = Like::holding($find);
            $orders->where(
                fn (Builder $any) => $any
                    ->where('title', 'like', $like)
                    ->orWhere('number', 'like', $like)
                    ->orWhere('client', 'like', $like)
                    ->orWhereHas('units.sculpt', fn (Builder $q) => $q->where('name', 'like', $like)),
            );
        }
        $today = $this->today->day();
        $orders
            ->when($asked->status(), fn (Builder $q, OrderStatus $status) => $q->where('status', $status))
            ->when($asked->client(), fn (Builder $q, string $client) => $q->where('client', $client))
            ->when(
                $asked->tier(),
                fn (Builder $q, string $tier) => $q->whereHas('units', fn (Builder $u) => $u->where('tier', $tier)),
            );
        match ($asked->due()) {
            // By the index of the list; what was not promised is not late.
            'late' => $orders
                ->where('settled', 0)
                ->where('due_key', '<', $today)
                ->whereNotIn('status', OrderStatus::finished())
                ->whereNotNull('promised_on'),
            'week' => $orders->whereBetween('due_key', [$today, $this->today->plus(7)]),
            'month' => $orders->whereBetween('due_key', [$today, $this->today->plus(30)]),
            'none' => $orders->whereNull('due_on')->whereNull('promised_on'),
            default => null,
        };
    }
}
