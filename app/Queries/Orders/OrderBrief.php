<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Http\Resources\Orders\PieceBrief;
use App\Models\Order;
use App\Models\Unit;
use App\Repositories\Standards;
use App\Studio\Today;

/** An order as lists show it: whose it is, when it is due, and where its pieces stand. */
final class OrderBrief
{
    public function __construct(private readonly Standards $standards, private readonly Today $today)
    {
    }

    /** @return array<string, mixed> */
    public function of(Order $order): array
    {
        $tiers = $this->standards->tierNames($order->version);

        return [
            'id' => $order->id,
            'number' => $order->number,
            'client' => $order->client,
            'title' => $order->title,
            'status' => $order->status->value,
            'due_on' => $order->due_on?->format('Y-m-d'),
            'promised_on' => $order->promised_on?->format('Y-m-d'),
            'late' => $order->promised_on !== null &&
                $order->promised_on->format('Y-m-d') < $this->today->day() &&
                ! $order->status->isFinished(),
            'on_hold' => $order->held_at !== null,
            'standard_version' => $order->version->number,
            'units' => array_values($order->units->map(fn (Unit $u) => $this->unit($u, $tiers))->all()),
        ];
    }

    /**
     * @param  array<string, string>  $tiers  names by key
     * @return array<string, mixed>
     */
    private function unit(Unit $unit, array $tiers): array
    {
        return [
            'id' => $unit->id,
            'sculpt' => $unit->sculpt->name,
            'tier' => $unit->tier,
            'tier_name' => $tiers[$unit->tier] ?? $unit->tier,
            'label' => $unit->label,
            'released' => $unit->released_at !== null,
            'revision' => $unit->revision,
            'pieces' => PieceBrief::collection($unit->pieces),
        ];
    }
}
