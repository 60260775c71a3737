<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Http\Resources\Plan\UsedTechnique;
use App\Models\Unit;
use App\Studio\UnitPlans;
use App\Studio\UnitRaising;
use Ordotype\Core\Planning\Outlook\RaisedArea;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Words\PlanWords;

/** What raising a unit to a tier would take, told before it is done. */
final class RaiseShown
{
    public function __construct(
        private readonly UnitRaising $raise,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
    ) {
    }

    /**
     * @param  string  $key  of the tier
     * @param  bool  $stands  from what every piece has now, instead of from the finished plan
     * @return array<string, mixed>
     */
    public function of(Unit $unit, string $key, bool $stands): array
    {
        $unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces.logs']);
        $tier = $this->raise->tier($unit, $key);
        $work = $this->raise->work($unit, $tier, $stands);
        $request = $this->plans->request($unit)->at($tier);
        $words = new PlanWords($request);
        $changed = array_filter(
            $work->areas,
            fn (RaisedArea $a) => $a->added !== [] || $a->lost !== [] || $a->conflict !== null || $a->over > 0,
        );

        return [
            'tier' => $tier->key,
            'from' => $stands ? 'stands' : 'finished',
            'minutes' => round($work->minutes(), 2),
            'anew' => round($this->planner->plan($request)->minutesByPasses(), 2),
            'areas' => array_map(fn (RaisedArea $a) => self::area($a, $words), array_values($changed)),
            'whole' => UsedTechnique::collection($work->whole),
            'varnished' => $work->isVarnished,
            'concerns' => array_map(fn (Technique $t) => $t->name, $work->concerns),
            'conflicts' => count($work->conflicts()),
            'order' => array_map(self::step(...), $work->work->steps),
        ];
    }

    /** @return array<string, mixed> */
    private static function area(RaisedArea $area, PlanWords $words): array
    {
        return [
            'area' => $area->demand->area?->key,
            'name' => $area->demand->area->name ?? '',
            'minutes' => round($area->minutes(), 2),
            'repainted' => $area->repainted,
            'over' => $area->over,
            'added' => UsedTechnique::collection($area->added),
            'lost' => UsedTechnique::collection($area->lost),
            'conflict' => $area->conflict === null ? null : $words->conflict($area->conflict),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(Step $step): array
    {
        return [
            'area' => $step->area?->key,
            'technique' => $step->technique->key,
            'name' => $step->technique->name,
            'minutes' => round($step->minutes, 2),
            'paint' => $step->colour?->words(),
        ];
    }
}
