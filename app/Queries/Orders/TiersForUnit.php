<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\UnitCosts;
use App\Studio\UnitPlans;
use App\Studio\UnitPrices;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Outlook\RaisedArea;
use Ordotype\Core\Planning\Outlook\Raising;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Words\Voices;

/** What a unit would be at every tier it may be moved to. */
final class TiersForUnit
{
    public function __construct(
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
        private readonly UnitPrices $prices,
        private readonly UnitCosts $costs,
    ) {
    }

    /** @return array{currency: string, data: list<array<string, mixed>>} the lowest tier first */
    public function of(Unit $unit): array
    {
        $now = $this->plans->plan($this->units->withPlan($unit));
        $tiers = array_values(
            array_filter($now->request->standard->tiers, fn (Tier $t) => $t->status !== TierStatus::Retired),
        );
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);

        return [
            'currency' => $now->request->standard->currency,
            'data' => array_map(
                fn (Tier $t) => $now->request->at($t)->isQuotedByHand()
                    ? self::quoted($t)
                    : $this->planned($t, $now, $unit),
                $tiers,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function planned(Tier $tier, Plan $now, Unit $unit): array
    {
        $unfit = false;
        try {
            $plan = $tier->key === $now->request->tier->key ? $now : $this->planner->plan($now->request->at($tier));
        } catch (FormatException) {
            // An amendment of the unit speaks of a clause that this tier does not have.
            $plan = $this->planner->plan($now->request->at($tier)->amended([]));
            $unfit = true;
        }
        $difference = new TierDifference($now, $plan);
        $voices = new Voices($difference);
        $price = $difference->prices()[1];
        $higher = $tier->order > $now->request->tier->order && $tier->status === TierStatus::Offered;

        return self::head($tier) + [
            'minutes' => round($plan->minutesByPasses(), 2),
            'conflicts' => count($plan->conflicts()),
            'amendments_unfit' => $unfit,
            'price' => $price === null ? null : ['low' => $price->low, 'high' => $price->high],
            'below_cost' => $this->costs->isBelow($this->prices->of($unit, $tier->key)?->price, $plan),
            'raise' => $higher ? self::raise(new Raising($plan->request, Raising::workOf($now))) : null,
            'gains' => $voices->gains(),
            'losses' => $voices->losses(),
        ];
    }

    /** @return array<string, mixed> what raising the finished work to the tier takes */
    private static function raise(Raising $raise): array
    {
        return [
            'minutes' => round(array_sum(array_map(fn (RaisedArea $a) => $a->minutes(), $raise->areas())), 2),
            'repainted' => array_values(
                array_map(
                    fn (RaisedArea $a) => $a->demand->area->name ?? '',
                    array_filter($raise->areas(), fn (RaisedArea $a) => $a->repainted),
                ),
            ),
            'varnished' => $raise->isVarnished(),
            'concerns' => array_map(fn (Technique $t) => $t->name, $raise->concerns()),
        ];
    }

    /** @return array<string, mixed> a tier that has no figures: it is quoted by hand */
    private static function quoted(Tier $tier): array
    {
        return self::head($tier) + [
            'minutes' => null,
            'conflicts' => 0,
            'amendments_unfit' => false,
            'price' => null,
            'below_cost' => false,
            'raise' => null,
            'gains' => [],
            'losses' => [],
        ];
    }

    /** @return array{key: string, name: string, order: int, status: string} */
    private static function head(Tier $tier): array
    {
        return [
            'key' => $tier->key,
            'name' => $tier->name,
            'order' => $tier->order,
            'status' => $tier->status->value,
        ];
    }
}
