<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Choice\Candidate;
use Ordotype\Core\Method\MethodOnModel;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sequencing\Phase;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/**
 * What puts a fault right: what is done first, the plan's later steps there again, the neighbours tidied, varnish
 * again.
 */
final readonly class Repair
{
    public function __construct(private Plan $plan)
    {
    }

    /** @return list<RepairStep> in order */
    public function of(FaultKind $fault, ?Area $area, Spread $spread, bool $varnished): array
    {
        $steps = [];
        $from = Phase::Check;
        foreach ($this->first($fault, $area) as [$technique, $why]) {
            $steps[] = $this->step(
                $technique,
                $fault->where === 'whole' || $technique->whole ? null : $area,
                $spread,
                $why,
            );
            $phase = Phase::of($technique);
            $from = $phase->value < $from->value ? $phase : $from;
        }
        $messy = array_filter($this->first($fault, $area), fn (array $f) => $f[0]->mess >= 2) !== [];
        if ($fault->redoLater && $area !== null) {
            foreach ($this->plan->work->steps as $step) {
                if (
                    $step->area?->key === $area->key &&
                    ($step->phase->value > $from->value || ($from === Phase::Check && $step->pass === 1)) &&
                    $step->phase->value < Phase::MattVarnish->value
                ) {
                    $steps[] = $this->again($step, $spread);
                    $messy = $messy || $step->isMessy();
                }
            }
        }
        if ($messy && $area !== null && $this->plan->request->standard->hasTechnique(WellKnown::TIDY)) {
            foreach ($this->plan->request->sculpt->areas as $neighbour) {
                if (
                    $this->plan->request->sculpt->touch($area->key, $neighbour->key) &&
                    $neighbour->rank->value !== 'ground'
                ) {
                    $steps[] = $this->step(
                        $this->plan->request->standard->technique(WellKnown::TIDY),
                        $neighbour,
                        Spread::Spot,
                        'what strayed onto it is tidied',
                    );
                }
            }
        }
        if ($varnished && $steps !== []) {
            foreach ($this->plan->work->steps as $step) {
                if (
                    $step->area === null &&
                    $step->phase === Phase::MattVarnish &&
                    ! in_array($step->technique->key, array_map(fn (RepairStep $s) => $s->technique, $steps), true)
                ) {
                    $steps[] = new RepairStep(
                        $step->technique->key,
                        null,
                        $step->minutes * $spread->repairFactor(),
                        'the varnish was on already',
                    );
                }
            }
        }

        return $steps;
    }

    /** @return list<array{Technique, string}> */
    private function first(FaultKind $fault, ?Area $area): array
    {
        $first = [];
        foreach ($fault->first as $key) {
            if ($key !== 'own_base') {
                $first[] = [
                    $this->plan->request->standard->technique($key),
                    "what puts {$this->lower($fault->name)} right",
                ];

                continue;
            }
            $base = $area === null ? null : $this->baseOf($area);
            if ($base === null) {
                continue;
            }
            if ($base->tidied) {
                $first[] = [
                    $this->plan->request->standard->technique('light_underlay'),
                    'a stain wants a light ground under it',
                ];
            }
            $first[] = [$base, 'the area\'s own base, by brush'];
        }

        return $first;
    }

    private function baseOf(Area $area): ?Technique
    {
        foreach (
            $this->plan->areas[$this->plan->request->sculpt->place($area->key)]->choice->techniques ?? [] as $used
        ) {
            if ($used->technique->givesAny(Effect::BaseColour)) {
                return $used->technique->family === Family::Spray
                    ? $this->plan->request->standard->technique('base_coat')
                    : $used->technique;
            }
        }

        return null;
    }

    private function step(Technique $technique, ?Area $area, Spread $spread, string $why): RepairStep
    {
        $sculpt = $this->plan->request->sculpt;
        $index = (int) array_search($technique, $this->plan->request->standard->techniques, true);
        $pace = $this->plan->request->tier->pace;
        $minutes =
            $area === null || $technique->whole
                ? Candidate::onModel($technique, $index, $sculpt, $pace)->minutes[Extent::Full->value]
                : Candidate::onArea(
                    $technique,
                    $index,
                    $area,
                    $sculpt,
                    $pace,
                    new MethodOnModel(
                        $this->plan->request->method,
                        $sculpt,
                        $this->plan->request->scheme,
                        $this->plan->request->shelf,
                    ),
                )->minutes[Extent::Full->value];

        return new RepairStep(
            $technique->key,
            $technique->whole ? null : $area?->key,
            $minutes * $spread->repairFactor(),
            $why,
        );
    }

    private function again(Step $step, Spread $spread): RepairStep
    {
        return new RepairStep(
            $step->technique->key,
            $step->area?->key,
            $step->minutes * $spread->repairFactor(),
            'a later step of the plan, done again',
        );
    }

    private function lower(string $name): string
    {
        return mb_strtolower($name);
    }
}
