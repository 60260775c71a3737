<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/** Plans all areas; where the tier says how many colours are sprayed, with those colours sprayed. */
final readonly class SprayedColours
{
    private AreaPlanner $areas;

    public function __construct(private PlanContext $context, AreaSolver $solver)
    {
        $this->areas = new AreaPlanner($context, $solver);
    }

    /**
     * @param  list<AreaDemand>  $demands  in the sculpt's order
     * @param  BothWays|null  $known  what meets them, where that is known already
     */
    public function plan(array $demands, PlannedArea $whole, ?BothWays $known = null): ChosenWork
    {
        $colours = $whole->demand->ofModel(ModelFigure::SprayedColours);
        $spray = $colours === null ? null : self::technique($this->context->request, WellKnown::SPRAY);
        $mayBeSprayed = $spray !== null && $this->context->method->sprays();
        $problems = $solved = [];
        foreach ($known === null ? $demands : [] as $demand) {
            $problem = $problems[] = $this->areas->problem($demand, $mayBeSprayed);
            $solved[] = $this->areas->solve(
                $demand,
                $spray === null ? $problem : $problem->without(WellKnown::SPRAY),
            );
        }
        $byBrush = $known->byBrush ?? $this->besideTheirRings($solved);
        if ($colours === null || $spray === null || ! $mayBeSprayed) {
            return new ChosenWork($this->context, $byBrush, $whole, [], new BothWays($byBrush, []));
        }
        $planner = new SprayPlanner($this->context->request, $this->context->method->benchSculpt());
        // Colours without a main area are never sprayed, so that nothing need be worked out for them.
        $fits = array_filter($demands, fn (AreaDemand $d) => $d->needsBase() && self::canBeSprayed($d->area, $spray));
        $groups = $planner->groups(array_map(fn (AreaDemand $d) => (string) $d->area?->key, $fits));
        $keys = array_fill_keys(array_map(fn (Area $a) => $a->key, array_merge([], ...$groups)), true);
        $meant = array_filter($demands, fn (AreaDemand $d) => isset($keys[(string) $d->area?->key]));
        $known = array_intersect_key($known->options ?? [], $keys);
        $left = array_filter($meant, fn (AreaDemand $d) => ! isset($known[(string) $d->area?->key]));
        $options = $known + $this->options($left, $spray, $byBrush, $problems);
        $masking = self::technique($this->context->request, WellKnown::MASKING);
        $sprayed = $planner->choose(
            $options,
            (int) $colours->min,
            $colours->max === null ? null : (int) $colours->max,
            $spray,
            $masking,
        );
        $areas = $byBrush;
        foreach ($sprayed as $colour) {
            foreach ($colour->areas as $area) {
                $areas[$this->context->request->sculpt->place($area->key)] = $options[$area->key]->sprayed;
            }
        }

        return new ChosenWork($this->context, array_values($areas), $whole, $sprayed, new BothWays($byBrush, $options));
    }

    /**
     * An area with a surround is sprayed only where that is sprayed in the same colour: else it is done by brush.
     *
     * @param  list<PlannedArea>  $planned  in the sculpt's order
     * @return list<PlannedArea>
     */
    private function besideTheirRings(array $planned): array
    {
        $request = $this->context->request;
        $isSprayed = fn (PlannedArea $p): bool => array_filter(
            $p->choice->techniques ?? [],
            fn (ChosenTechnique $u) => $u->technique->family === Family::Spray,
        ) !== [];
        $paint = fn (Area $a): ?Pot => $request->scheme?->for($a)?->base;
        foreach ($planned as $place => $gem) {
            $area = $gem->demand->area;
            if ($area === null || $area->surround === null || ! $isSprayed($gem)) {
                continue;
            }
            $ring = $request->sculpt->area($area->surround);
            if (! $isSprayed($planned[$request->sculpt->place($ring->key)]) || $paint($ring) != $paint($area)) {
                $byBrush = fn (Candidate $c): bool => $c->technique->family !== Family::Spray;
                $problem = $this->areas->problem($gem->demand, false)->filtered($byBrush);
                $planned[$place] = $this->areas->solve($gem->demand, $problem);
            }
        }

        return $planned;
    }

    /**
     * Both ways of each area that can be sprayed.
     *
     * @param  array<int, AreaDemand>  $demands  by place in the sculpt's order
     * @param  list<PlannedArea>  $byBrush  where that is known already, as are its problems
     * @param  list<AreaProblem>  $problems
     * @return array<string, SprayOption> by area key
     */
    public function options(array $demands, Technique $spray, array $byBrush = [], array $problems = []): array
    {
        $options = [];
        foreach ($demands as $i => $demand) {
            $area = $demand->area;
            if ($area === null || ! $demand->needsBase() || ! self::canBeSprayed($area, $spray)) {
                continue;
            }
            $problem = $problems[$i] ?? $this->areas->problem($demand, true);
            $brushed = $byBrush[$i] ?? $this->areas->solve($demand, $problem->without(WellKnown::SPRAY));
            $sprayed = $this->areas->solve($demand, $problem->withBase(WellKnown::SPRAY));
            if ($sprayed->choice !== null) {
                $options[$area->key] = new SprayOption($brushed, $sprayed);
            }
        }

        return $options;
    }

    private static function canBeSprayed(?Area $area, Technique $spray): bool
    {
        return $area !== null && $area->rank !== Rank::Ground && FittingTechniques::fits($spray, $area);
    }

    public static function technique(PlanRequest $request, string $key): ?Technique
    {
        return $request->standard->hasTechnique($key) ? $request->standard->technique($key) : null;
    }
}
