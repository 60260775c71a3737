<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Choice\Candidate;
use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Choice\Conformance;
use Ordotype\Core\Demand\DemandResolver;
use Ordotype\Core\Method\MethodOnModel;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;

/**
 * What spare minutes on a piece buy: extras are techniques that the tier allows or gives on request and the plan does
 * not use. One group for each area, whose options are its permitted combinations of up to two extras; minutes are
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

    public function __construct(private readonly Plan $plan)
    {
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
        $request = $this->plan->request;
        $method = new MethodOnModel($request->method, $request->sculpt, $request->scheme, $request->shelf);
        $groups = [];
        foreach ($this->plan->areas as $planned) {
            $area = $planned->demand->area;
            if ($area === null || $planned->choice === null) {
                continue;
            }
            $extras = [];
            foreach ($request->standard->techniques as $index => $technique) {
                $allowed = isset($planned->demand->allowed[$technique->key]);
                $asked = isset($planned->demand->onRequest[$technique->key]);
                if (
                    (! $allowed && ! ($asked && $onRequest)) ||
                    $planned->choice->uses($technique->key) ||
                    ! DemandResolver::fits($technique, $area) ||
                    $technique->givesAny(Effect::BaseColour) ||
                    ($technique->perPiece > 0 && $area->count === 0) ||
                    $method->keepsOff($technique, $area, $planned->demand->allowed) !== null
                ) {
                    continue;
                }
                $candidate = Candidate::onArea(
                    $technique,
                    $index,
                    $area,
                    $request->sculpt,
                    $request->tier->pace,
                    $method,
                );
                if ($candidate->grade !== null && $candidate->grade < $planned->gradeBar && ! $technique->tidied) {
                    continue;
                }
                $minutes = $candidate->minutes[Extent::Full->value];
                $extras[] = new Extra(
                    $area,
                    new ChosenTechnique($technique, $index, 1, Extent::Full, $minutes),
                    ceil($minutes * self::HALF - self::TIE) / self::HALF,
                    self::notice($area, $technique),
                    ! $allowed,
                );
            }
            if ($extras !== []) {
                $groups[] = $extras;
            }
        }

        return $groups;
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
            default => 0.4,
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
        $planned = $this->plan->areas[$this->plan->request->sculpt->place($set[0]->area->key)];
        $area = $set[0]->area;
        $before = $planned->choice->techniques ?? [];
        $after = [...$before, ...array_map(fn (Extra $e) => $e->use, $set)];
        foreach ($after as $i => $one) {
            foreach (array_slice($after, $i + 1) as $other) {
                $excluded =
                    in_array($other->technique->key, $one->technique->excludes, true) ||
                    in_array($one->technique->key, $other->technique->excludes, true);
                if ($excluded && $one->extent !== Extent::Spot && $other->extent !== Extent::Spot) {
                    return false;
                }
            }
        }
        $pace = $this->plan->request->tier->pace;
        $leans = array_filter(
            $set,
            fn (Extra $e) => $e->technique()->tidied &&
                (Candidate::gradeOn($e->technique(), $e->technique()->suit($area->relief)) ?? 5) < $planned->gradeBar,
        );
        if (! Conformance::isTidied($after) && ($leans !== [] || Conformance::washesUnderLight($after, $pace))) {
            return false;
        }
        $request = $this->plan->request;
        $method = new MethodOnModel($request->method, $request->sculpt, $request->scheme, $request->shelf);
        foreach ($set as $extra) {
            foreach ($method->needs($extra->technique()) as $effect) {
                if (! $this->isGiven($effect, $method) && ! Conformance::anotherGives($after, $extra->use, $effect)) {
                    return false;
                }
            }
        }
        foreach (Conformance::ofArea($planned->demand, $after) as $i => $state) {
            if ($state->state === 'over' && Conformance::ofArea($planned->demand, $before)[$i]->state !== 'over') {
                return false;
            }
        }

        return true;
    }

    /** Whether the undercoat or another whole technique gives an effect to every area. */
    private function isGiven(Effect $effect, MethodOnModel $method): bool
    {
        return in_array($effect, $method->given(), true) ||
            array_filter(
                $this->plan->whole->choice->techniques ?? [],
                fn (ChosenTechnique $u) => $u->technique->givesAny($effect),
            ) !== [];
    }
}
