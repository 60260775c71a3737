<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Client;
use App\Models\Order;
use App\Models\Scheme;
use App\Queries\Keyset;
use App\Queries\Like;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Studio\OrderStatus;

/** Clients: by name, one with their orders, and everything that is kept of one. */
final class ClientsListed
{
    private const PAGE = 60;

    /** @return array{data: list<array<string, mixed>>, next_cursor: string|null} */
    public function page(?string $find, ?string $cursor): array
    {
        $clients = Client::query()
            ->select(['id', 'name', 'reach'])
            ->when($find, fn (Builder $q, string $find) => $q->where('name', 'like', Like::holding($find)));
        [$page, $next] = (new Keyset('clients', ['clients.name' => false, 'clients.id' => false]))
            ->page($clients, $cursor, self::PAGE);
        $counts = Order::query()
            ->whereIn('client_id', array_column($page, 'id'))
            ->groupBy('client_id')
            ->selectRaw('client_id, count(*) as orders_count, sum(status not in (?, ?)) as open_count', [
                OrderStatus::Closed->value, OrderStatus::Cancelled->value,
            ])
            ->toBase()
            ->get()
            ->keyBy('client_id');

        return [
            'data' => array_map(
                fn (Client $c) => $c->only(['id', 'name', 'reach']) + [
                    'orders' => (int) ($counts[$c->id]->orders_count ?? 0),
                    'open' => (int) ($counts[$c->id]->open_count ?? 0),
                ],
                $page,
            ),
            'next_cursor' => $next,
        ];
    }

    /** @return array<string, mixed> */
    public function one(Client $client): array
    {
        $orders = $client->orders()->withCount('pieces')->get();
        $schemes = Scheme::query()->whereIn('id', $orders->pluck('scheme_id')->filter()->unique())->orderBy('name');

        return $client->only(['id', 'name', 'reach', 'notes', 'revision']) + [
            'orders' => array_values($orders->map(fn (Order $o) => [
                'id' => $o->id,
                'number' => $o->number,
                'title' => $o->title,
                'status' => $o->status->value,
                'promised_on' => $o->promised_on?->format('Y-m-d'),
                'models' => (int) $o->getAttribute('pieces_count'),
            ])->all()),
            'schemes' => array_values($schemes->get(['slug', 'name'])->map->only(['slug', 'name'])->all()),
        ];
    }

    /** @return array<string, mixed> everything, as it is asked for by who it is about */
    public function everything(Client $client): array
    {
        $rows = fn (string $table, int $order, array $columns): array => DB::table($table)
            ->where('order_id', $order)
            ->orderBy('id')
            ->get($columns)
            ->all();

        return $client->only(['name', 'reach', 'notes']) + [
            'orders' => $client->orders->map(fn (Order $o) => ['number' => $o->number] + $o->facts() + [
                'status' => $o->status->value,
                'moves' => $rows('order_moves', $o->id, ['from_status', 'to_status', 'facts', 'at']),
                'payments' => $rows('order_payments', $o->id, ['amount', 'percent', 'noted_on', 'noted_way']),
                'parcels' => $rows('parcels', $o->id, ['direction', 'on_day', 'way', 'tracking', 'recipient']),
                'quotes' => $rows('quotes', $o->id, [
                    'number', 'valid_until', 'state', 'answered_by', 'answered_at', 'body',
                ]),
                'questions' => $rows('questions', $o->id, ['text', 'asked_at', 'answer', 'answered_by']),
            ])->all(),
        ];
    }
}
