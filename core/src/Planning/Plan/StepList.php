<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepColour;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/**
 * Turns what is chosen into steps, in no order yet: each pass of each technique, masking, joints, colours, reasons.
 */
final readonly class StepList
{
    private StepReasons $reasons;

    public function __construct(private PlanContext $context, private StepColours $colours)
    {
        $this->reasons = new StepReasons($context);
    }

    public function draft(ChosenWork $chosen): Draft
    {
        $steps = [...$this->onModel($chosen->whole), ...$this->masking($chosen)];
        foreach ($chosen->areas as $planned) {
            array_push($steps, ...$this->onArea($planned));
        }

        $steps = $this->painted([...$steps, ...$this->joints($chosen)]);
        $order = new WorkOrder($this->context);
        $soiled = [];
        $rules = $order->rules($steps, $soiled);
        $touchUps = $this->painted($this->touchUps($soiled));
        if ($touchUps === []) {
            return new Draft($chosen, $steps, $rules);
        }
        $steps = [...$steps, ...$touchUps];

        return new Draft($chosen, $steps, $order->rules($steps));
    }

    /** @return list<Step> in their order on the area */
    public function onArea(PlannedArea $planned): array
    {
        $area = $planned->demand->area;
        if ($area === null || $planned->choice === null) {
            return [];
        }
        $pace = $this->context->request->tier->pace->timeFactor();
        $steps = [];
        foreach ($planned->choice->techniques as $used) {
            $because = $this->reasons->of($planned, $used, $planned->choice->techniques);
            $handling = $used->technique->handling * $area->access * $pace;
            foreach ($used->minutesOf as $before => $minutes) {
                $steps[] = new Step(
                    $area,
                    $used->technique,
                    $used->index,
                    $before + 1,
                    $used->extentOf($before + 1),
                    $minutes,
                    min($minutes, $handling),
                    $because,
                    coats: $this->context->method->coats($used->technique, $area),
                );
            }
        }
        $place = fn (Step $s): array => [$s->phase->rank($s->technique), $s->catalogue, $s->pass];
        usort($steps, fn (Step $a, Step $b) => $place($a) <=> $place($b));

        return $this->colours->colour($area, $steps);
    }

    /** @return list<Step> */
    public function onModel(PlannedArea $whole): array
    {
        $undercoat = $this->context->request->method->undercoatColour;
        $steps = [];
        foreach ($whole->choice->techniques ?? [] as $used) {
            $because = $this->reasons->of($whole, $used, []);
            if ($used->technique->key === $this->context->method->prime()) {
                $because[] = Reason::method(School::Spraying);
            }
            $colour =
                $used->technique->has(Effect::Undercoat) && $undercoat !== null ? $this->pot($undercoat) : null;
            $steps[] = new Step(
                null,
                $used->technique,
                $used->index,
                1,
                Extent::Full,
                $used->minutes(),
                0.0,
                $because,
                $colour,
            );
        }

        return $steps;
    }

    /** @return list<Step> */
    private function masking(ChosenWork $chosen): array
    {
        $steps = [];
        foreach ($chosen->sprayed as $colour) {
            if ($colour->masked !== []) {
                $masking = $this->context->request->standard->technique(WellKnown::MASKING);
                $steps[] = new Step(
                    null,
                    $masking,
                    $this->indexOf($masking),
                    1,
                    Extent::Full,
                    $colour->maskingMinutes,
                    0.0,
                    $chosen->whole->demand->ofModel(ModelFigure::SprayedColours)->reasons ?? [],
                    sprays: array_map(fn (Area $a) => $a->key, $colour->areas),
                    covers: array_map(fn (Area $a) => $a->key, $colour->masked),
                );
            }
        }

        return $steps;
    }

    /**
     * The joints are tidied after joining: a spot of the base colour, for each kept-apart part on its first area that
     * touches something outside it.
     *
     * @return list<Step>
     */
    private function joints(ChosenWork $chosen): array
    {
        $request = $this->context->request;
        $joins = $chosen->whole->choice?->uses(WellKnown::JOIN_PARTS) === true;
        if (! $joins || ! $request->standard->hasTechnique(WellKnown::TIDY)) {
            return [];
        }
        $tidy = $request->standard->technique(WellKnown::TIDY);
        $index = $this->indexOf($tidy);
        $steps = [];
        foreach ($chosen->areas as $planned) {
            $area = $planned->demand->area;
            if (
                $area === null ||
                $area->part === null ||
                isset($steps[$area->part]) ||
                $planned->choice === null ||
                ! FittingTechniques::fits($tidy, $area) ||
                ! $this->meetsAnotherPart($area)
            ) {
                continue;
            }
            $candidate = Candidate::onArea(
                $tidy,
                $index,
                $area,
                $request->sculpt,
                $request->tier->pace,
                $this->context->method,
            );
            $minutes = $candidate->minutes[Extent::Spot->value];
            $step = new Step(
                $area,
                $tidy,
                $index,
                1,
                Extent::Spot,
                $minutes,
                0.0,
                [Reason::parts()],
                phase: Phase::JointTidy,
            );
            $steps[$area->part] = $this->colours->colour($area, [$step])[0];
        }

        return array_values($steps);
    }

    /**
     * Where a stain would show what strayed onto its ground before, that is put right first.
     *
     * @param  array<string, true>  $soiled  by area key
     * @return list<Step>
     */
    private function touchUps(array $soiled): array
    {
        $undercoat = $this->context->request->method->undercoatColour;
        $steps = [];
        foreach (array_keys($soiled) as $key) {
            $area = $this->context->request->sculpt->area($key);
            $touchUp = $this->context->touchUp($area);
            if ($touchUp !== null) {
                $minutes = $touchUp->minutes[Extent::Spot->value];
                $handling = $touchUp->technique->handling * $area->access;
                $steps[] = new Step(
                    $area,
                    $touchUp->technique,
                    $touchUp->index,
                    1,
                    Extent::Spot,
                    $minutes,
                    min($minutes, $handling * $this->context->request->tier->pace->timeFactor()),
                    [Reason::touchUp()],
                    $undercoat === null ? null : $this->pot($undercoat),
                );
            }
        }

        return $steps;
    }

    private function meetsAnotherPart(Area $area): bool
    {
        $sculpt = $this->context->request->sculpt;
        foreach ($sculpt->areas as $other) {
            if ($other->part !== $area->part && $sculpt->touch($area->key, $other->key)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Steps with the paints that the lead has given single ones.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function painted(array $steps): array
    {
        $paints = $this->context->request->arrangement->paints;

        return array_map(function (Step $step) use ($paints): Step {
            $paint = $paints[$step->key()->id] ?? null;

            return $paint === null ? $step : $step->coloured($this->pot($paint));
        }, $steps);
    }

    private function pot(string $paint): StepColour
    {
        return StepColour::of(Pot::of($paint), $this->context->request->shelf);
    }

    private function indexOf(Technique $technique): int
    {
        return (int) array_search($technique, $this->context->request->standard->techniques, true);
    }
}
