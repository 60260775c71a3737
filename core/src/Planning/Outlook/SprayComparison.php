<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Plan\AreaPlanner;
use Ordotype\Core\Planning\Plan\ChosenWork;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\SprayedColours;
use Ordotype\Core\Planning\Plan\SprayOption;
use Ordotype\Core\Planning\Plan\SprayPlanner;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/**
 * For each colour that could be sprayed: its minutes by airbrush and by brush over the unit, with their parts. What is
 * sprayed in the plan and touches it is masked, so much as the plan sprays before it.
 */
final readonly class SprayComparison
{
    public function __construct(private AreaSolver $solver = new AreaSolver())
    {
    }

    /** @return list<SprayOrBrush> the largest surface first */
    public function of(PlanRequest $request): array
    {
        $spray = SprayedColours::technique($request, WellKnown::SPRAY);
        if ($spray === null) {
            return [];
        }
        $chosen = (new Planner($this->solver))->choose($request);
        // What it would take is asked whether the method sprays or not.
        $open = new MethodOnModel(
            $request->method->without(School::Spraying),
            $request->sculpt,
            $request->scheme,
            $request->shelf,
        );
        $context = $chosen->context->by($open)->under($chosen->whole);
        $areas = new AreaPlanner($context, $this->solver);
        $demands = $context->demands();
        $asked = array_map(fn (Area $area) => $areas->demand($demands, $area), $request->sculpt->areas);
        $options = (new SprayedColours($context, $this->solver))->options($asked, $spray);
        $options = array_filter($options, fn (SprayOption $o) => $o->brushed->choice !== null);
        $planner = new SprayPlanner($request, $open->benchSculpt());
        $compared = [];
        foreach ($planner->byColour(array_keys($options)) as $together) {
            $compared[] = $this->compare($together, $options, $chosen, $planner, $spray);
        }
        $share = fn (SprayOrBrush $s): float => array_sum(array_map(fn (Area $a) => $a->sharePct, $s->areas));
        usort($compared, fn (SprayOrBrush $a, SprayOrBrush $b) => $share($b) <=> $share($a));

        return $compared;
    }

    /**
     * @param  non-empty-list<Area>  $areas  of one colour
     * @param  array<string, SprayOption>  $options
     */
    private function compare(
        array $areas,
        array $options,
        ChosenWork $chosen,
        SprayPlanner $planner,
        Technique $spray,
    ): SprayOrBrush {
        $request = $chosen->context->request;
        $before = [];
        $isSprayed = false;
        foreach ($chosen->sprayed as $colour) {
            if ($colour->areas[0]->key === $areas[0]->key) {
                $isSprayed = true;
                break;
            }
            array_push($before, ...$colour->areas);
        }
        $masked = $planner->toMask($areas, $before);
        $masking = SprayedColours::technique($request, WellKnown::MASKING);
        $sprayHand = $brushHand = 0.0;
        $bases = [];
        foreach ($areas as $area) {
            $sprayHand += $options[$area->key]->sprayed->minutes() ?? 0.0;
            $brushHand += $options[$area->key]->brushed->minutes() ?? 0.0;
            foreach ($options[$area->key]->brushed->choice->techniques ?? [] as $used) {
                if ($used->technique->has(Effect::BaseColour)) {
                    $bases[$used->technique->key] = $used->technique->setup;
                }
            }
        }

        return new SprayOrBrush(
            $request->scheme?->for($areas[0])?->base->words(),
            $areas,
            $masked,
            $isSprayed,
            $spray->setup,
            $request->pieces * $sprayHand,
            $masking === null || $masked === []
                ? 0.0
                : $request->pieces * $planner->maskingMinutes($masking, $masked) + $masking->setup,
            array_sum($bases),
            $request->pieces * $brushHand,
        );
    }
}
