<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\WellKnown;

/** How work on a model, computed or changed by hand, stands to what is asked. */
final class Conformance
{
    /** A wash or stain that is tidied counts as this grade at least (model.md 5). */
    public const TIDIED_GRADE = 4;

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
        [$have, $least, $most] = [$requirement->has($used), $requirement->least(), $requirement->most()];

        return match (true) {
            $have === null || $least === null => new RequirementState($requirement, null),
            $have < $least => new RequirementState($requirement, Standing::Short, $least - $have),
            $most !== null && $have > $most => new RequirementState($requirement, Standing::Over, $have - $most),
            default => new RequirementState($requirement, Standing::Met),
        };
    }

    /**
     * Whether base, tidying, needs and exclusions hold: what must be so whatever the clauses say. Gives what is
     * wrong.
     *
     * @param  list<ChosenTechnique>  $used
     * @param  list<Effect>  $given
     * @return list<MustHold> one for each thing that is wrong
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
        $bases = array_filter($used, fn (ChosenTechnique $u) => $u->technique->has(Effect::BaseColour));
        if (
            $needsBase &&
            (count($bases) !== 1 ||
                array_values($bases)[0]->passes !== 1 ||
                array_values($bases)[0]->extent !== Extent::Full)
        ) {
            $broken[] = MustHold::OneBase;
        }
        $tidied = self::isTidied($used);
        if (! $tidied && (self::washesUnderLight($used, $pace) || self::leansOnTidying($used, $bar, $area))) {
            $broken[] = MustHold::Tidying;
        }
        foreach ($used as $one) {
            foreach ($one->technique->needs as $effect) {
                if (! in_array($effect, $given, true) && ! self::anotherGives($used, $one, $effect)) {
                    $broken[] = MustHold::Needs;
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
}
