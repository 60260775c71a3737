<?php

declare(strict_types=1);

namespace Ordotype\Core\Choice;

use Ordotype\Core\Demand\AreaDemand;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Planning\PlannedArea;
use Ordotype\Core\Planning\SurplusStep;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sequencing\Phase;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\WellKnown;

/** How work on a model, computed or changed by hand, stands to what is asked. */
final class Conformance
{
    /**
     * The state of what is asked of one area (or of the whole model, for effects and techniques).
     *
     * @param  list<ChosenTechnique>  $used
     * @return list<RequirementState>
     */
    public static function ofArea(AreaDemand $demand, array $used): array
    {
        return array_map(fn (Requirement $r) => self::state($r, $used), $demand->requirements);
    }

    /** @param  list<ChosenTechnique>  $used */
    public static function state(Requirement $requirement, array $used): RequirementState
    {
        $have = 0;
        foreach ($used as $one) {
            $have += match ($requirement->kind) {
                RequirementKind::Steps => $one->credit(),
                RequirementKind::Effect => self::serves($requirement, $one) ? $one->passes : 0,
                RequirementKind::Technique => $one->technique->key === $requirement->technique &&
                $one->extent->value >= $requirement->extent->value
                    ? $one->passes
                    : 0,
                default => 0,
            };
        }
        [$least, $most] = match ($requirement->kind) {
            RequirementKind::Steps => [$requirement->min ?? 0, $requirement->max],
            RequirementKind::Effect, RequirementKind::Technique => [$requirement->passes, null],
            default => [null, null],
        };

        return match (true) {
            $least === null => new RequirementState($requirement, null),
            $have < $least => new RequirementState($requirement, 'short', $least - $have),
            $most !== null && $have > $most => new RequirementState($requirement, 'over', $have - $most),
            default => new RequirementState($requirement, 'met'),
        };
    }

    /** What counts is the smaller of the extent used and the most the technique gives. */
    public static function serves(Requirement $requirement, ChosenTechnique $one): bool
    {
        return min($one->extent->value, $requirement->deliveredBy($one->technique)->value) >=
            $requirement->extent->value;
    }

    /**
     * Whether base, tidying, needs and exclusions hold: what must be so whatever the clauses say. Gives what is wrong.
     *
     * @param  list<ChosenTechnique>  $used
     * @param  list<Effect>  $given
     * @return list<string>
     */
    public static function broken(
        array $used,
        bool $needsBase,
        Pace $pace,
        array $given,
        int $bar,
        ?Area $area,
    ): array {
        $broken = [];
        $bases = array_filter($used, fn (ChosenTechnique $u) => $u->technique->givesAny(Effect::BaseColour));
        if (
            $needsBase &&
            (count($bases) !== 1 ||
                array_values($bases)[0]->passes !== 1 ||
                array_values($bases)[0]->extent !== Extent::Full)
        ) {
            $broken[] = 'base';
        }
        $tidied = self::isTidied($used);
        if (! $tidied && (self::washesUnderLight($used, $pace) || self::leansOnTidying($used, $bar, $area))) {
            $broken[] = 'tidy';
        }
        foreach ($used as $one) {
            foreach ($one->technique->needs as $effect) {
                if (! in_array($effect, $given, true) && ! self::anotherGives($used, $one, $effect)) {
                    $broken[] = "needs.$effect->value";
                }
            }
        }

        return $broken;
    }

    /** @param  list<ChosenTechnique>  $used */
    public static function isTidied(array $used): bool
    {
        foreach ($used as $one) {
            if (
                $one->technique->key === WellKnown::TIDY ||
                ($one->technique->key === WellKnown::LAYER && $one->extent === Extent::Full)
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * At an even or the finest pace, a wash all over under any light calls for tidying.
     *
     * @param  list<ChosenTechnique>  $used
     */
    public static function washesUnderLight(array $used, Pace $pace): bool
    {
        $wash = $light = false;
        foreach ($used as $one) {
            $wash = $wash || $one->technique->key === WellKnown::WASH;
            $light = $light || $one->technique->givesAny(Effect::HighlightRaised, Effect::HighlightEdge);
        }

        return $pace !== Pace::Fast && $wash && $light;
    }

    /**
     * Whether a wash or stain is below the bar by itself, so that only tidying makes it clean work.
     *
     * @param  list<ChosenTechnique>  $used
     */
    private static function leansOnTidying(array $used, int $bar, ?Area $area): bool
    {
        foreach ($used as $one) {
            $grade =
                $area === null ? null : Candidate::gradeOn($one->technique, $one->technique->suit($area->relief));
            if ($one->technique->tidied && $grade !== null && $grade < $bar) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<ChosenTechnique>  $used */
    public static function anotherGives(array $used, ChosenTechnique $one, Effect $effect): bool
    {
        foreach ($used as $other) {
            if ($other->technique->key !== $one->technique->key && $other->technique->givesAny($effect)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Steps that could go: from the last to the first, a step is taken out if everything asked stays as good and what
     * must hold still holds.
     *
     * @param  list<Step>  $steps  in order of work
     * @param  list<PlannedArea>  $areas
     * @param  array<string, list<Effect>>  $given  by area key: what is there already; '' for the whole model
     * @param  string|null  $practice  key of the technique that is practised, and so not given away
     * @return list<SurplusStep>
     */
    public static function surplus(
        array $steps,
        array $areas,
        PlannedArea $whole,
        Pace $pace,
        array $given,
        ?string $practice = null,
    ): array {
        $byKey = ['' => $whole];
        $used = ['' => $whole->choice->techniques ?? []];
        foreach ($areas as $planned) {
            $byKey[(string) $planned->demand->area?->key] = $planned;
            $used[(string) $planned->demand->area?->key] = $planned->choice->techniques ?? [];
        }
        $surplus = [];
        for ($no = count($steps); $no >= 1; $no--) {
            $step = $steps[$no - 1];
            $key = (string) $step->area?->key;
            if ($step->sprays !== [] || $step->phase === Phase::JointTidy || ! isset($byKey[$key])) {
                continue;
            }
            $without = self::without($used[$key], $step->technique->key);
            $planned = $byKey[$key];
            $needsBase = $step->area !== null && $step->area->rank !== Rank::Ground;
            $broken = array_map(
                fn (Choice $c): int => count(
                    self::broken(
                        $c->techniques,
                        $needsBase,
                        $pace,
                        $given[$key] ?? [],
                        $planned->gradeBar,
                        $step->area,
                    ),
                ),
                [new Choice($used[$key]), new Choice($without)],
            );
            if ($broken[1] > $broken[0] || ! self::asGood($planned->demand, $used[$key], $without)) {
                continue;
            }
            $over = array_filter(
                self::ofArea($planned->demand, $used[$key]),
                fn (RequirementState $s) => $s->state === 'over',
            );
            $beyond = ! isset($planned->demand->allowed[$step->technique->key]) || $over !== [];
            $practised = $beyond && $step->technique->key === $practice;
            array_unshift($surplus, new SurplusStep($step, $no, $beyond && ! $practised, $practised));
            $used[$key] = $without;
        }

        return $surplus;
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
            } elseif ($one->passes > 1) {
                $left[] = $one->with($one->passes - 1);
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
        foreach ($demand->requirements as $requirement) {
            [$was, $is] = [self::state($requirement, $before), self::state($requirement, $after)];
            $lack = fn (RequirementState $s): float => $s->state === 'short' ? $s->by : 0.0;
            if ($lack($is) > $lack($was)) {
                return false;
            }
        }

        return true;
    }
}
