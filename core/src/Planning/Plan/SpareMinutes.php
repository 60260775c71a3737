<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conformance;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;

/**
 * What spare minutes on a piece buy: extras are techniques that the tier allows or gives on request and the plan does
 * not use, and that the ladder shows to be more ({@see MoreOnLadder}). One group for each area, whose options are its
 * permitted combinations of up to two extras; minutes are
 * rounded up to the half minute; what is done by the piece is no extra where there is nothing to count; within the
 * minutes, the most notice. A multiple-choice knapsack, solved exactly by
 * dynamic programming over half minutes; equal notice goes to fewer minutes, then to what comes first on the sculpt.
 *
 * Notice of an extra = weight of the area's focus × its share × weight of what it does (house defaults).
 */
final class SpareMinutes
{
    private const FOCUS = [1.0, 2.0, 4.0, 8.0];

    private const HALF = 2;

    /** Notice closer than this is the same. */
    private const TIE = 1e-9;

    private readonly PlanContext $context;

    private readonly MoreOnLadder $more;

    public function __construct(private readonly Plan $plan)
    {
        $this->context = $plan->chosen()->context;
        $this->more = new MoreOnLadder($plan->request);
    }

    /**
     * @param  float  $minutes  that may be spent on each piece beyond the plan
     * @param  bool  $onRequest  whether what the client would have to ask for is offered too
     * @return list<Extra> in the sculpt's order
     */
    public function buy(float $minutes, bool $onRequest = true): array
    {
        $cap = (int) floor($minutes * self::HALF + self::TIE);
        $groups = array_map(fn (array $extras) => $this->options($extras), $this->extras($onRequest));
        // best[c]: [notice, half minutes used, the picks] with at most c half minutes, over the groups so far.
        $best = array_fill(0, max(0, $cap) + 1, [0.0, 0, []]);
        foreach ($groups as $options) {
            $next = $best;
            foreach ($options as [$notice, $halves, $extras]) {
                for ($c = $halves; $c <= $cap; $c++) {
                    $with = [
                        $best[$c - $halves][0] + $notice,
                        $best[$c - $halves][1] + $halves,
                        [...$best[$c - $halves][2], ...$extras],
                    ];
                    if (
                        $with[0] > $next[$c][0] + self::TIE ||
                        ($with[0] > $next[$c][0] - self::TIE && $with[1] < $next[$c][1])
                    ) {
                        $next[$c] = $with;
                    }
                }
            }
            $best = $next;
        }

        return $cap < 1 ? [] : $best[$cap][2];
    }

    /**
     * Every extra by itself, area by area in the sculpt's order.
     *
     * @return list<list<Extra>>
     */
    public function extras(bool $onRequest = true): array
    {
        $groups = [];
        foreach ($this->plan->areas as $planned) {
            $extras = $this->ofArea($planned, $onRequest);
            $groups = $extras === [] ? $groups : [...$groups, $extras];
        }

        return $groups;
    }

    /** @return list<Extra> */
    private function ofArea(PlannedArea $planned, bool $onRequest): array
    {
        $request = $this->plan->request;
        $area = $planned->demand->area;
        $extras = [];
        foreach (
            $area === null || $planned->choice === null ? [] : $request->standard->techniques as $index => $technique
        ) {
            $allowed = isset($planned->demand->allowed[$technique->key]);
            $asked = $onRequest && isset($planned->demand->onRequest[$technique->key]);
            if ($area === null || (! $allowed && ! $asked) || ! $this->couldBeExtra($technique, $planned, $area)) {
                continue;
            }
            $pace = $request->tier->pace;
            $candidate = Candidate::onArea(
                $technique,
                $index,
                $area,
                $request->sculpt,
                $pace,
                $this->context->method,
            );
            if ($candidate->grade !== null && $candidate->grade < $planned->gradeBar && ! $technique->tidied) {
                continue;
            }
            $minutes = $candidate->minutes[Extent::Full->value];
            $use = ChosenTechnique::of($candidate, 1, Extent::Full);
            $rounded = ceil($minutes * self::HALF - self::TIE) / self::HALF;
            $extras[] = new Extra($area, $use, $rounded, self::notice($area, $technique), ! $allowed);
        }

        return $extras;
    }

    private function couldBeExtra(Technique $technique, PlannedArea $planned, Area $area): bool
    {
        return $planned->choice?->uses($technique->key) !== true &&
            FittingTechniques::fits($technique, $area) &&
            ! $technique->givesAny(Effect::BaseColour, Effect::Underlay) &&
            ($technique->perPiece <= 0 || $area->count > 0) &&
            $this->context->method->keepsOff($technique, $area) === null &&
            $this->more->has($technique, $area);
    }

    public static function notice(Area $area, Technique $technique): float
    {
        $weight = 0.0;
        foreach (array_keys($technique->effects) as $effect) {
            $weight = max($weight, self::weight(Effect::from($effect)));
        }

        return self::FOCUS[$area->focus] * $area->sharePct * $weight;
    }

    private static function weight(Effect $effect): float
    {
        return match ($effect) {
            Effect::HighlightEdge, Effect::PickOut, Effect::Glow, Effect::Freehand => 1.0,
            Effect::HighlightRaised, Effect::SeparateTinted => 0.9,
            Effect::Blend, Effect::Separate, Effect::Mark => 0.8,
            Effect::Reflect => 0.7,
            Effect::Texture, Effect::Wear => 0.6,
            Effect::Underlay, Effect::DarkGround, Effect::LightGround, Effect::BaseColour, Effect::Shade,
            Effect::HighlightSpot, Effect::Tint, Effect::TintOver, Effect::Tone, Effect::MarkWear, Effect::Letter,
            Effect::LetterFull, Effect::MarkSettled, Effect::WearDrawn, Effect::Grime, Effect::Gloss,
            Effect::GlossGround, Effect::Tidy, Effect::Undercoat, Effect::Value, Effect::Protect,
            Effect::GroundTexture, Effect::GroundColour, Effect::GroundShade, Effect::GroundLight,
            Effect::GroundPlants, Effect::GroundWet, Effect::GroundScene, Effect::GroundTie, Effect::Rim,
            Effect::Join, Effect::Prepare, Effect::Check => 0.4,
        };
    }

    /**
     * Permitted combinations of one and two extras; what takes as long or longer and is noticed no more is left out.
     *
     * @param  list<Extra>  $extras  of one area
     * @return list<array{float, int, list<Extra>}> notice, half minutes, extras
     */
    private function options(array $extras): array
    {
        $options = [];
        foreach ($extras as $i => $one) {
            foreach ([null, ...array_slice($extras, $i + 1)] as $other) {
                $set = $other === null ? [$one] : [$one, $other];
                if ($this->permitted($set)) {
                    $options[] = [
                        array_sum(array_map(fn (Extra $e) => $e->notice, $set)),
                        (int) round(self::HALF * array_sum(array_map(fn (Extra $e) => $e->minutes, $set))),
                        $set,
                    ];
                }
            }
        }
        usort($options, fn (array $a, array $b) => [$a[1], -$a[0]] <=> [$b[1], -$b[0]]);
        $kept = [];
        $most = 0.0;
        foreach ($options as $option) {
            if ($option[0] > $most + self::TIE) {
                $kept[] = $option;
                $most = $option[0];
            }
        }

        return $kept;
    }

    /**
     * Whether the area's work with these extras breaks no ceiling, exclusion, need or tidying that held before.
     *
     * @param  list<Extra>  $set
     */
    private function permitted(array $set): bool
    {
        $area = $set[0]->area;
        $planned = $this->plan->area($area->key);
        $before = $planned->choice->techniques ?? [];
        $after = [...$before, ...array_map(fn (Extra $e) => $e->use, $set)];

        return ! self::excludeOneAnother($after) &&
            $this->isTidy($set, $after, $planned, $area) &&
            $this->hasWhatItNeeds($set, $after) &&
            ! self::goesOver($planned, $before, $after);
    }

    /** @param  list<ChosenTechnique>  $all */
    private static function excludeOneAnother(array $all): bool
    {
        foreach ($all as $i => $one) {
            foreach (array_slice($all, $i + 1) as $other) {
                $excluded = $one->technique->excludesOrIsExcludedBy($other->technique);
                if ($excluded && $one->extent !== Extent::Spot && $other->extent !== Extent::Spot) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  list<Extra>  $set
     * @param  list<ChosenTechnique>  $after
     */
    private function isTidy(array $set, array $after, PlannedArea $planned, Area $area): bool
    {
        if (Conformance::isTidied($after)) {
            return true;
        }
        $leans = array_filter($set, function (Extra $e) use ($planned, $area): bool {
            $grade = Candidate::gradeOn($e->technique(), $e->technique()->suit($area->relief)) ?? 5;

            return $e->technique()->tidied && $grade < $planned->gradeBar;
        });

        return $leans === [] && ! Conformance::washesUnderLight($after, $this->plan->request->tier->pace);
    }

    /**
     * @param  list<Extra>  $set
     * @param  list<ChosenTechnique>  $after
     */
    private function hasWhatItNeeds(array $set, array $after): bool
    {
        foreach ($set as $extra) {
            foreach ($this->context->method->needs($extra->technique(), $extra->area) as $effect) {
                if (
                    ! in_array($effect, $this->context->given, true) &&
                    ! Conformance::anotherGives($after, $extra->use, $effect)
                ) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param  list<ChosenTechnique>  $before
     * @param  list<ChosenTechnique>  $after
     */
    private static function goesOver(PlannedArea $planned, array $before, array $after): bool
    {
        $was = Conformance::ofArea($planned->demand, $before);
        foreach (Conformance::ofArea($planned->demand, $after) as $i => $state) {
            if ($state->state === Standing::Over && $was[$i]->state !== Standing::Over) {
                return true;
            }
        }

        return false;
    }
}
