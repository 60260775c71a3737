<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Order;

/** Orders, what is still to be done first, by the day on which they are due. */
final class OrdersListed
{
    private const PAGE = 50;

    public function __construct(private readonly OrderBrief $brief)
    {
    }

    /** @return array{data: list<array<string, mixed>>, next_cursor: string|null} */
    public function page(?string $status): array
    {
        $orders = Order::query()
            ->with([
                'units.sculpt:id,name',
                'units.pieces:id,unit_id,number,code,stage',
                'units.order.version',
                'version',
            ])
            ->when($status, fn ($q, $status) => $q->where('status', $status))
            ->orderByRaw("status in ('delivered','closed','cancelled')")
            ->orderBy('due_on')
            ->orderBy('id')
            ->cursorPaginate(self::PAGE);

        return [
            'data' => array_map($this->brief->of(...), array_values($orders->items())),
            'next_cursor' => $orders->nextCursor()?->encode(),
        ];
    }
}
