<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Order;
use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Models\User;
use App\Pictures\Drawings;
use App\Repositories\Amendments;
use App\Repositories\Standards;
use App\Studio\UnitCosts;
use App\Studio\UnitPlans;
use App\Studio\UnitPrices;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Standard\Tier;
use stdClass;

/** One order with the minutes and prices of its units, and what could be added to it. */
final class OrderShown
{
    public function __construct(
        private readonly Standards $standards,
        private readonly UnitPlans $plans,
        private readonly Amendments $amendments,
        private readonly OrderBrief $brief,
        private readonly Drawings $drawings,
        private readonly UnitPrices $prices,
        private readonly UnitCosts $costs,
        private readonly LifeOfOrder $life,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Order $order, User $user): array
    {
        $order->load(['units.sculpt', 'units.pieces', 'units.order.version', 'version', 'scheme', 'amendments']);
        $standard = $this->standards->core($order->version);
        $spent = $this->spent($order);

        return $this->brief->of($order) + [
            'revision' => $order->revision,
            'life' => $this->life->of($order, $user),
            ...$order->facts(),
            'client_id' => $order->client_id,
            'method' => $order->method === null ? null : Json::decode($order->method),
            'scheme' => $order->scheme?->name,
            'scheme_slug' => $order->scheme?->slug,
            'reference' => $order->reference,
            'schemes' => self::named(
                Scheme::query()
                    ->orderBy('name')
                    ->get(['slug', 'name']),
            ),
            'currency' => $standard->currency,
            'unit_plans' => array_values(
                $order->units
                    ->map(
                        fn (Unit $u) => self::time($u, $spent) +
                            $this->planned($u->setRelation('order', $order)),
                    )
                    ->all(),
            ),
            'tiers' => array_map(
                fn (Tier $t) => [
                    'key' => $t->key,
                    'name' => $t->name,
                    'order' => $t->order,
                    'status' => $t->status->value,
                ],
                $standard->tiers,
            ),
            'sculpts' => self::named(
                Sculpt::query()
                    ->orderBy('id')
                    ->get(['slug', 'name']),
            ),
        ];
    }

    /** @return array<string, mixed> what the plan of the unit takes, and what it costs */
    private function planned(Unit $unit): array
    {
        $plan = $this->plans->inForce($unit);
        $price = $this->prices->range($unit);

        return [
            'minutes' => round($plan->minutes() / max(1, $unit->standing()->count()), 1),
            'setup' => round($plan->setupMinutes(), 1),
            'conflicts' => count($plan->conflicts()),
            'drawn' => (object) $this->drawings->views($plan->plain(), width: Drawings::THUMB),
            'agreed' => $this->amendments->agreedPrices($unit),
            'price' => $price === null ? null : ['low' => $price->low, 'high' => $price->high],
            'set_price' => $unit->price,
            'set_ceiling' => $unit->ceiling,
            'below_cost' => $this->costs->isBelow($this->prices->ofPiece($unit), $plan),
            'agreed_price' => $unit->agreed_price,
            'sum' => $this->prices->ofUnit($unit)?->decimal(),
        ];
    }

    /**
     * What was timed or entered, and beside it what the steps that are done were planned at.
     *
     * @param  Collection<array-key, stdClass>  $spent  by unit
     * @return array{unit: int, spent: float|null, planned_done: float}
     */
    private static function time(Unit $unit, Collection $spent): array
    {
        $of = $spent->get($unit->id);

        return [
            'unit' => $unit->id,
            'spent' => isset($of->minutes) ? round((float) $of->minutes, 1) : null,
            'planned_done' => round((float) ($of->planned ?? 0), 1),
        ];
    }

    /** @return Collection<array-key, stdClass> minutes of what was done, by unit */
    private function spent(Order $order): Collection
    {
        return DB::table('step_logs')
            ->join('pieces', 'pieces.id', '=', 'step_logs.piece_id')
            ->whereIn('pieces.unit_id', $order->units->pluck('id'))
            ->whereNull('step_logs.skipped')
            ->whereNull('step_logs.undoes')
            ->whereNull('step_logs.undone_by')
            ->groupBy('pieces.unit_id')
            ->selectRaw(
                'pieces.unit_id, sum(step_logs.spent) as minutes, sum(step_logs.planned_minutes) as planned',
            )
            ->get()
            ->keyBy('unit_id');
    }

    /**
     * @param  Collection<int, Scheme>|Collection<int, Sculpt>  $rows
     * @return list<array{slug: string, name: string}>
     */
    private static function named(Collection $rows): array
    {
        $named = [];
        foreach ($rows as $row) {
            $named[] = ['slug' => $row->slug, 'name' => $row->name];
        }

        return $named;
    }
}
