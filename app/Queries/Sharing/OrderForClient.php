<?php

declare(strict_types=1);

namespace App\Queries\Sharing;

use App\Exceptions\RequestRefused;
use App\Models\Order;
use App\Models\ShareLink;
use App\Models\Studio;
use App\Models\Unit;
use App\Pictures\Drawings;
use App\Queries\Photographs\ExamplesShown;
use App\Repositories\Standards;
use App\Studio\UnitPlans;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Standard\Clause;

/** An order as its client sees it by a link: what is painted, how it is meant to look, how far it is. No money. */
final class OrderForClient
{
    public function __construct(
        private readonly Standards $standards,
        private readonly UnitPlans $plans,
        private readonly Drawings $drawings,
    ) {
    }

    /** @return array<string, mixed> */
    public function shared(ShareLink $link): array
    {
        $order = Order::query()
            ->with(['version', 'scheme', 'units.sculpt', 'units.pieces'])
            ->find((int) ($link->shows['order'] ?? 0));
        if ($order === null) {
            throw RequestRefused::linkShowsNothing();
        }

        $kept = ExamplesShown::ofTiers($order->units->pluck('tier')->unique()->values()->all());

        return [
            'studio' => Studio::row()->name,
            'number' => $order->number,
            'title' => $order->title,
            'due' => $order->day()?->toDateString(),
            'units' => array_values(
                $order->units->map(fn (Unit $u) => $this->unit($u, $order, $kept[$u->tier] ?? []))->all(),
            ),
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $kept  details of finished work at its tier
     * @return array<string, mixed>
     */
    private function unit(Unit $unit, Order $order, array $kept): array
    {
        $unit->setRelation('order', $order);
        $standard = $this->standards->core($order->version);
        $tier = $standard->tier($unit->tier);
        $plan = $this->plans->inForce($unit)->plain();
        $promised = array_filter(
            array_map(fn (Clause $c) => $c->clientText, $standard->clausesOf($tier)),
            fn (?string $text) => $text !== null,
        );
        $done = [Stage::Passed->value, Stage::Signed->value, Stage::Delivered->value];

        return [
            'figure' => $unit->sculpt->name,
            'label' => $unit->label,
            'count' => $unit->standing()->count(),
            'finished' => $unit->standing()->whereIn('stage', $done)->count(),
            'tier' => $tier->name,
            'intent' => $tier->intent,
            'distance_cm' => $tier->viewing->distanceCm,
            'width_mm' => $plan->request->sculpt->frameMm[0] ?? 60.0,
            'promised' => array_values(array_unique($promised)),
            'drawn' => (object) $this->drawings->views($plan),
            'examples' => $kept,
        ];
    }
}
