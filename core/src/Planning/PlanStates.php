<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Choice\AreaSolver;
use Ordotype\Core\Choice\Conformance;
use Ordotype\Core\Choice\RequirementState;
use Ordotype\Core\Choice\Standing;
use Ordotype\Core\Demand\ModelRequirement;
use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Method\School;
use Ordotype\Core\Sequencing\OrderedWork;

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
        $sprays = $this->chosen->context->method->sprays();
        foreach (self::ofArea($this->chosen->whole) as $state) {
            $asked = $state->requirement;
            $states[] = match (true) {
                ! ($asked instanceof ModelRequirement) => $state,
                $asked->kind() === RequirementKind::Minutes => self::within($asked, $work->handMinutes(), null),
                $asked->kind() === RequirementKind::SprayedColours => self::within(
                    $asked,
                    count($this->chosen->sprayed),
                    $sprays ? null : School::Spraying,
                ),
                default => $state,
            };
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

    private static function within(ModelRequirement $asked, float $have, ?School $school): RequirementState
    {
        return match (true) {
            $asked->min !== null && $have < $asked->min => new RequirementState(
                $asked,
                Standing::Short,
                $asked->min - $have,
                school: $school,
            ),
            $asked->max !== null && $have > $asked->max + AreaSolver::TIE => new RequirementState(
                $asked,
                Standing::Over,
                $have - $asked->max,
            ),
            default => new RequirementState($asked, Standing::Met),
        };
    }
}
