<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conformance;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Sequencing\Step;

/**
 * Steps that could go: from the last to the first, a step is taken out if everything asked stays as good and what must
 * hold still holds.
 */
final readonly class Surplus
{
    public function __construct(private ChosenWork $chosen)
    {
    }

    /**
     * @param  list<Step>  $steps  in order of work
     * @return list<SurplusStep>
     */
    public function of(array $steps): array
    {
        $planned = ['' => $this->chosen->whole];
        foreach ($this->chosen->areas as $area) {
            $planned[(string) $area->demand->area?->key] = $area;
        }
        $used = array_map(fn (PlannedArea $p) => $p->choice->techniques ?? [], $planned);
        $practice = $this->chosen->context->request->arrangement->practice;
        $surplus = [];
        for ($no = count($steps); $no >= 1; $no--) {
            $step = $steps[$no - 1];
            $key = (string) $step->area?->key;
            if ($step->isBeside() || ! isset($planned[$key])) {
                continue;
            }
            $without = self::without($used[$key], $step->technique->key);
            if (! $this->holdsAsWell($step, $planned[$key], $used[$key], $without)) {
                continue;
            }
            $beyond =
                ! isset($planned[$key]->demand->allowed[$step->technique->key]) ||
                self::isOver($planned[$key]->demand, $used[$key]);
            $practised = $beyond && $step->technique->key === $practice;
            array_unshift($surplus, new SurplusStep($step, $no, $beyond && ! $practised, $practised));
            $used[$key] = $without;
        }

        return $surplus;
    }

    /**
     * @param  list<ChosenTechnique>  $with
     * @param  list<ChosenTechnique>  $without
     */
    private function holdsAsWell(Step $step, PlannedArea $planned, array $with, array $without): bool
    {
        return $this->broken($step, $planned, $without) <= $this->broken($step, $planned, $with) &&
            self::asGood($planned->demand, $with, $without);
    }

    /** @param  list<ChosenTechnique>  $used */
    private function broken(Step $step, PlannedArea $planned, array $used): int
    {
        $needsBase = $planned->demand->needsBase();
        $given = $step->area === null ? [] : $this->chosen->context->given;
        $pace = $this->chosen->context->request->tier->pace;

        return count(Conformance::broken($used, $needsBase, $pace, $given, $planned->gradeBar, $step->area));
    }

    /** @param  list<ChosenTechnique>  $used */
    private static function isOver(AreaDemand $demand, array $used): bool
    {
        $over = fn (RequirementState $s): bool => $s->state === Standing::Over;

        return array_filter(Conformance::ofArea($demand, $used), $over) !== [];
    }

    /**
     * @param  list<ChosenTechnique>  $used
     * @return list<ChosenTechnique>
     */
    private static function without(array $used, string $technique): array
    {
        $left = [];
        foreach ($used as $one) {
            if ($one->technique->key !== $technique) {
                $left[] = $one;
            } elseif (($fewer = $one->withoutLast()) !== null) {
                $left[] = $fewer;
            }
        }

        return $left;
    }

    /**
     * @param  list<ChosenTechnique>  $before
     * @param  list<ChosenTechnique>  $after
     */
    private static function asGood(AreaDemand $demand, array $before, array $after): bool
    {
        $lack = fn (RequirementState $s): float => $s->state === Standing::Short ? $s->by : 0.0;
        foreach ($demand->requirements as $requirement) {
            if ($lack(Conformance::state($requirement, $after)) > $lack(Conformance::state($requirement, $before))) {
                return false;
            }
        }

        return true;
    }
}
