<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\Conformance;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Sequencing\OrderedWork;

/** How a plan stands to everything that is asked. */
final readonly class PlanStates
{
    public function __construct(private ChosenWork $chosen)
    {
    }

    /** @return list<RequirementState> area by area, then of the whole model */
    public function of(OrderedWork $work): array
    {
        $states = [];
        foreach ($this->chosen->areas as $planned) {
            array_push($states, ...self::ofArea($planned));
        }
        foreach (self::ofArea($this->chosen->whole) as $state) {
            $states[] = $state->requirement->accept(new StateOfModel($this->chosen, $work, $state));
        }

        return $states;
    }

    /** @return list<RequirementState> */
    private static function ofArea(PlannedArea $planned): array
    {
        $blamed = Reason::ids($planned->conflict->reasons ?? []);

        return array_map(function (RequirementState $s) use ($planned, $blamed): RequirementState {
            $isBlamed = array_intersect(Reason::ids($s->requirement->reasons), $blamed) !== [];

            return match (true) {
                $planned->choice === null && $isBlamed => new RequirementState(
                    $s->requirement,
                    Standing::Conflict,
                    $s->by,
                    $planned->conflict,
                ),
                $planned->shortBecause !== null && $s->state === Standing::Short => new RequirementState(
                    $s->requirement,
                    Standing::Short,
                    $s->by,
                    school: $planned->shortBecause,
                ),
                default => $s,
            };
        }, Conformance::ofArea($planned->demand, $planned->choice->techniques ?? []));
    }
}
