<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Order;
use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Standards;

/** An order as lists show it: whose it is, when it is due, and where its pieces stand. */
final class OrderBrief
{
    public function __construct(private readonly Standards $standards)
    {
    }

    /** @return array<string, mixed> */
    public function of(Order $order): array
    {
        return [
            'id' => $order->id,
            'number' => $order->number,
            'client' => $order->client,
            'title' => $order->title,
            'status' => $order->status,
            'due_on' => $order->due_on?->format('Y-m-d'),
            'late' => $order->due_on !== null &&
                $order->due_on->isBefore(today()) &&
                ! in_array($order->status, Order::FINISHED, true),
            'standard_version' => $order->version->number,
            'units' => array_values($order->units->map($this->unit(...))->all()),
        ];
    }

    /** @return array<string, mixed> */
    private function unit(Unit $unit): array
    {
        $standard = $this->standards->core($unit->order->version);

        return [
            'id' => $unit->id,
            'sculpt' => $unit->sculpt->name,
            'tier' => $unit->tier,
            'tier_name' => $standard->hasTier($unit->tier) ? $standard->tier($unit->tier)->name : $unit->tier,
            'label' => $unit->label,
            'released' => $unit->released_at !== null,
            'pieces' => array_values(
                $unit->pieces
                    ->map(
                        fn (Piece $p) => [
                            'id' => $p->id,
                            'number' => $p->number,
                            'code' => $p->code,
                            'stage' => $p->stage,
                        ],
                    )
                    ->all(),
            ),
        ];
    }
}
