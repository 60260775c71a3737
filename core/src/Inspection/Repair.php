<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\Conformance;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/**
 * What puts a fault right: what is done first, the plan's later steps there again, the neighbours tidied, varnish
 * again (model.md 9). By brush, whatever the plan sprays. A stain cannot be patched: where it is laid again, a light
 * ground comes under it and the whole area is done, with all that follows there. What is done first is not done a
 * second time because the plan has it too.
 * A technique that the fault table names and the catalogue does not have is left out.
 */
final readonly class Repair
{
    public function __construct(private Plan $plan)
    {
    }

    /**
     * @param  bool  $varnished  whether varnish is on
     * @param  Requirement|null  $asked  what was asked where it was found: what is missing is done, and what follows it
     * @return list<RepairStep> in order
     */
    public function of(
        FaultKind $fault,
        ?Area $area,
        Spread $spread,
        bool $varnished,
        ?Requirement $asked = null,
    ): array {
        $missing = $fault->key === FaultTable::MISSING ? $asked : null;
        $steps = [];
        foreach ($this->places($fault, $area) as $place) {
            array_push($steps, ...$this->on($place, $fault, $spread, $missing));
        }
        if ($fault->where === 'whole' && $fault->redoLater) {
            array_push($steps, ...$this->anew(self::phaseFrom($steps), $spread));
        }
        if ($varnished && $steps !== []) {
            array_push($steps, ...$this->varnish($steps, $spread));
        }

        return $steps;
    }

    /**
     * Where it is put right: where it is seen. A fault that comes from a material, and is noted there, lies on what
     * touches it.
     *
     * @return non-empty-list<Area|null>
     */
    private function places(FaultKind $fault, ?Area $area): array
    {
        if ($fault->where === 'whole' || $area === null) {
            return [null];
        }
        $isSource = $fault->where === 'neighbour' && in_array($area->material, $fault->materials, true);
        $touching = ! $isSource
            ? []
            : array_filter(
                $this->plan->request->sculpt->areas,
                fn (Area $a) => $this->plan->request->sculpt->touch($area->key, $a->key) &&
                    $a->rank !== Rank::Ground,
            );

        return $touching === [] ? [$area] : array_values($touching);
    }

    /** @return list<RepairStep> */
    private function on(?Area $area, FaultKind $fault, Spread $spread, ?Requirement $missing): array
    {
        $there = $this->laysAStain($fault, $area) ? Spread::Whole : $spread;
        $steps = $missing === null
            ? $this->first($fault, $area, $there, $spread)
            : $this->missing($missing, $area, $there);
        if ($fault->redoLater && $area !== null) {
            $steps = $this->withAgain($area, $steps, $there);
        }
        // What is done to the whole model, varnish above all, soils nothing.
        $isMessy = fn (RepairStep $s): bool => $s->technique->mess >= Technique::MESSY && ! $s->technique->whole;
        if ($area !== null && array_filter($steps, $isMessy) !== []) {
            array_push($steps, ...$this->neighbours($area));
        }

        return $steps;
    }

    /** @return list<RepairStep> the plan's steps there that give what is asked */
    private function missing(Requirement $asked, ?Area $area, Spread $spread): array
    {
        $steps = [];
        foreach ($this->plan->work->steps as $step) {
            if ($step->area?->key === $area?->key && $asked->isGivenBy($step->technique)) {
                $steps[] = $this->redone($step, $spread, RepairWhy::PutsRight);
            }
        }

        return array_values(array_filter($steps, fn (?RepairStep $s) => $s !== null));
    }

    /** @return list<RepairStep> all the plan does after a phase, on every area, but varnish and the last look */
    private function anew(Phase $from, Spread $spread): array
    {
        $steps = [];
        foreach ($this->plan->work->steps as $step) {
            $isPaint = $step->phase !== Phase::MattVarnish && $step->phase !== Phase::Check;
            if ($step->phase->value > $from->value && $isPaint) {
                $steps[] = $this->redone($step, $spread, RepairWhy::DoneAgain);
            }
        }

        return array_values(array_filter($steps, fn (?RepairStep $s) => $s !== null));
    }

    /** A step of the plan once more, by brush where it was sprayed; null where a brush does nothing in its place. */
    private function redone(Step $step, Spread $spread, RepairWhy $why): ?RepairStep
    {
        $isSprayed = $step->technique->family === Family::Spray ||
            in_array($step->technique->key, WellKnown::SPRAYED_UNDERCOATS, true);

        return $isSprayed
            ? $this->byBrush($step->technique, $step->area, $spread)
            : new RepairStep($step->technique, $step->area, $step->minutes * $spread->repairFactor(), $why);
    }

    /**
     * @param  Spread  $spread  of what is painted; what is prepared is so where the fault is
     * @return list<RepairStep>
     */
    private function first(FaultKind $fault, ?Area $area, Spread $spread, Spread $found): array
    {
        $steps = [];
        $on = $fault->where === 'whole' ? null : $area;
        foreach ($fault->first as $key) {
            if ($key !== FaultKind::OWN_BASE) {
                $technique = $this->known($key);
                $wide = $technique?->whole === true ? $found : $spread;
                $steps[] = $technique === null ? null : $this->step($technique, $on, $wide, RepairWhy::PutsRight);

                continue;
            }
            $base = $area === null ? null : $this->baseOf($area);
            if ($base !== null && MethodOnModel::showsTheGround($base)) {
                $light = $this->known(WellKnown::LIGHT_UNDERLAY);
                $steps[] = $light === null ? null : $this->step($light, $on, $spread, RepairWhy::LightGround);
            }
            $steps[] = $base === null ? null : $this->step($base, $on, $spread, $this->whyAgain($base, $area));
        }

        return array_values(array_filter($steps, fn (?RepairStep $s) => $s !== null));
    }

    /** A stain that is laid again is a grade less even (model.md 9): it may be less than the tier's pace wants. */
    private function whyAgain(Technique $base, ?Area $area): RepairWhy
    {
        if ($area === null || ! MethodOnModel::showsTheGround($base)) {
            return RepairWhy::OwnBase;
        }
        $planned = $this->plan->area($area->key);
        $grade = Candidate::gradeOn($base, $base->suit($area->relief));
        if ($base->tidied && Conformance::isTidied($planned->choice->techniques ?? [])) {
            $grade = max((int) $grade, Conformance::TIDIED_GRADE);
        }

        return $grade !== null && max(1, $grade - 1) < $planned->gradeBar
            ? RepairWhy::OwnStainUneven
            : RepairWhy::OwnStain;
    }

    /** @param  list<RepairStep>  $steps */
    private static function phaseFrom(array $steps): Phase
    {
        $from = Phase::Check;
        foreach ($steps as $step) {
            $phase = Phase::of($step->technique);
            $from = $phase->value < $from->value ? $phase : $from;
        }

        return $from;
    }

    private function laysAStain(FaultKind $fault, ?Area $area): bool
    {
        $base = $area === null ? null : $this->baseOf($area);

        return $base !== null &&
            MethodOnModel::showsTheGround($base) &&
            in_array(FaultKind::OWN_BASE, $fault->first, true);
    }

    /**
     * What is done first, with the plan's steps on the area after it, all of them where nothing is, as a painter does
     * them: what the plan has too stands where it has it, anything else by its phase.
     *
     * @param  list<RepairStep>  $first
     * @return list<RepairStep>
     */
    private function withAgain(Area $area, array $first, Spread $spread): array
    {
        $from = self::phaseFrom($first);
        $all = $first;
        $own = array_filter(
            $this->plan->work->steps,
            fn (Step $s) => $s->area?->key === $area->key && $s->phase->value < Phase::MattVarnish->value,
        );
        // A light ground under the whole area is a ground put right.
        $hasGround = array_filter($first, fn (RepairStep $s) => $s->technique->has(Effect::LightGround)) !== [];
        $steps = [];
        foreach ($own as $step) {
            while ($first !== [] && $this->comesBefore($first[0], $step, $own)) {
                $steps[] = array_shift($first);
            }
            $isLater = $step->phase->value > $from->value || ($from === Phase::Check && $step->pass === 1);
            $isTaken = array_filter($all, fn (RepairStep $s) => $this->isSame($s, $step)) !== [] ||
                ($hasGround && $step->technique->key === WellKnown::TOUCH_UP);
            if ($isLater && ! $isTaken) {
                $steps[] = $this->redone($step, $spread, RepairWhy::DoneAgain);
            }
            while ($this->isSame($first[0] ?? null, $step)) {
                $steps[] = array_shift($first);
            }
        }

        return array_values(array_filter([...$steps, ...$first], fn (?RepairStep $s) => $s !== null));
    }

    /**
     * Whether what is done first stands before a step of the plan: by its phase, where the plan has not the same.
     *
     * @param  array<int, Step>  $own
     */
    private function comesBefore(RepairStep $first, Step $step, array $own): bool
    {
        $isLater = Phase::of($first->technique)->value < $step->phase->value;

        return $isLater && array_filter($own, fn (Step $s) => $this->isSame($first, $s)) === [];
    }

    /** The same technique, or both of them the base. */
    private function isSame(?RepairStep $first, Step $step): bool
    {
        return $first !== null &&
            ($first->technique->key === $step->technique->key ||
                ($first->technique->has(Effect::BaseColour) && $step->technique->has(Effect::BaseColour)));
    }

    /** What a brush does in the place of a spray: an undercoat, a base coat, or a glaze where colour fades. */
    private function byBrush(Technique $sprayed, ?Area $area, Spread $spread): ?RepairStep
    {
        $brushed = match (true) {
            $sprayed->has(Effect::Undercoat) => $this->known(WellKnown::BRUSHED_UNDERCOAT),
            $sprayed->has(Effect::BaseColour) => $this->known(WellKnown::BASE_COAT),
            $sprayed->has(Effect::Blend) => $this->known(WellKnown::GLAZE),
            default => null,
        };

        return $brushed === null ? null : $this->step($brushed, $area, $spread, RepairWhy::DoneAgain);
    }

    /** @return list<RepairStep> */
    private function neighbours(Area $area): array
    {
        $tidy = $this->known(WellKnown::TIDY);
        $sculpt = $this->plan->request->sculpt;
        $steps = [];
        foreach ($sculpt->areas as $neighbour) {
            if ($tidy !== null && $sculpt->touch($area->key, $neighbour->key) && $neighbour->rank !== Rank::Ground) {
                $steps[] = $this->step($tidy, $neighbour, Spread::Spot, RepairWhy::Strayed);
            }
        }

        return $steps;
    }

    /**
     * @param  list<RepairStep>  $steps  that are done before it
     * @return list<RepairStep>
     */
    private function varnish(array $steps, Spread $spread): array
    {
        $there = array_map(fn (RepairStep $s) => $s->technique->key, $steps);
        $again = [];
        foreach ($this->plan->work->steps as $step) {
            if (
                $step->area === null &&
                $step->phase === Phase::MattVarnish &&
                ! in_array($step->technique->key, $there, true)
            ) {
                $again[] = new RepairStep(
                    $step->technique,
                    null,
                    $step->minutes * $spread->repairFactor(),
                    RepairWhy::VarnishWasOn,
                );
            }
        }

        return $again;
    }

    private function known(string $technique): ?Technique
    {
        $standard = $this->plan->request->standard;

        return $standard->hasTechnique($technique) ? $standard->technique($technique) : null;
    }

    /** The base technique of the area as it is repaired: by brush. */
    private function baseOf(Area $area): ?Technique
    {
        foreach ($this->plan->area($area->key)->choice->techniques ?? [] as $used) {
            if ($used->technique->has(Effect::BaseColour)) {
                return $used->technique->family === Family::Spray
                    ? $this->known(WellKnown::BASE_COAT)
                    : $used->technique;
            }
        }

        return null;
    }

    private function step(Technique $technique, ?Area $area, Spread $spread, RepairWhy $why): RepairStep
    {
        $r = $this->plan->request;
        $on = $technique->whole ? null : $area;
        $index = (int) array_search($technique, $r->standard->techniques, true);
        $candidate =
            $on === null
                ? Candidate::onModel($technique, $index, $r->sculpt, $r->tier->pace)
                : Candidate::onArea(
                    $technique,
                    $index,
                    $on,
                    $r->sculpt,
                    $r->tier->pace,
                    new MethodOnModel($r->method, $r->sculpt, $r->scheme, $r->shelf),
                );

        // What is done to the whole model elsewhere is done here where the fault is.
        $share = $technique->whole && $area !== null ? $area->sharePct / 100 : 1.0;

        return new RepairStep(
            $technique,
            $on,
            $candidate->minutes[Extent::Full->value] * $share * $spread->repairFactor(),
            $why,
        );
    }
}
