<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Choice\AreaSolver;
use Ordotype\Core\Demand\AreaDemand;
use Ordotype\Core\Demand\DemandResolver;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Sculpt\Rank;
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

    /** @param  list<AreaDemand>  $demands  in the sculpt's order */
    public function plan(array $demands, PlannedArea $whole): ChosenWork
    {
        $colours = $whole->demand->ofModel(RequirementKind::SprayedColours);
        $spray = $colours === null ? null : self::technique($this->context->request, WellKnown::SPRAY);
        $mayBeSprayed = $spray !== null && $this->context->method->sprays();
        $byBrush = [];
        foreach ($demands as $demand) {
            $problem = $this->areas->problem($demand, $mayBeSprayed);
            $byBrush[] = $this->areas->solve(
                $demand,
                $spray === null ? $problem : $problem->without(WellKnown::SPRAY),
            );
        }
        if ($colours === null || $spray === null || ! $mayBeSprayed) {
            return new ChosenWork($this->context, $byBrush, $whole, []);
        }
        $options = $this->options($demands, $byBrush, $spray);
        $masking = self::technique($this->context->request, WellKnown::MASKING);
        $sprayed = (new SprayPlanner($this->context->request, $this->context->method->benchSculpt()))->choose(
            $options,
            (int) $colours->min,
            $colours->max === null ? null : (int) $colours->max,
            $spray,
            $masking,
        );
        foreach ($sprayed as $colour) {
            foreach ($colour->areas as $area) {
                $byBrush[$this->context->request->sculpt->place($area->key)] = $options[$area->key]->sprayed;
            }
        }

        return new ChosenWork($this->context, array_values($byBrush), $whole, $sprayed);
    }

    /**
     * Both ways of each area that can be sprayed.
     *
     * @param  list<AreaDemand>  $demands
     * @param  list<PlannedArea>|null  $byBrush  where that is known already
     * @return array<string, SprayOption> by area key
     */
    public function options(array $demands, ?array $byBrush, Technique $spray): array
    {
        $options = [];
        foreach ($demands as $i => $demand) {
            $area = $demand->area;
            if ($area === null || $area->rank === Rank::Ground || ! DemandResolver::fits($spray, $area)) {
                continue;
            }
            $problem = $this->areas->problem($demand, true);
            $brushed = $byBrush[$i] ?? $this->areas->solve($demand, $problem->without(WellKnown::SPRAY));
            $sprayed = $this->areas->solve($demand, $problem->withBase(WellKnown::SPRAY));
            if ($sprayed->choice !== null) {
                $options[$area->key] = new SprayOption($brushed, $sprayed);
            }
        }

        return $options;
    }

    public static function technique(PlanRequest $request, string $key): ?Technique
    {
        return $request->standard->hasTechnique($key) ? $request->standard->technique($key) : null;
    }
}
