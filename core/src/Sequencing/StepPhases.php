<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Method\Method;
use Ordotype\Core\Method\School;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\WellKnown;

/** Where in the order of work each step belongs by its phase, as the method moves it. */
final readonly class StepPhases
{
    /** Steps of these phases are the figure's own paint, from underlay to wear. */
    private const FIRST_PAINT = 30;

    private const LAST_PAINT = 160;

    public ?string $metals;

    public ?string $ground;

    /** @var array<int, int> what goes into something wet, to what it goes into */
    public array $wet;

    /** @var array<int, float> the phase of a step that goes into something wet, by the step's object id */
    private array $wetPhase;

    /** @param  list<Step>  $steps */
    public function __construct(private array $steps, private Sculpt $sculpt, private Method $method)
    {
        $this->metals = $method->answer(School::Metals);
        $this->ground = $method->answer(School::Ground);
        $this->wet = $this->wetPairs();
        $phases = [];
        foreach ($this->wet as $then => $first) {
            $phases[spl_object_id($steps[$then])] = $steps[$first]->phase->value + 0.4;
        }
        $this->wetPhase = $phases;
    }

    /**
     * A decal into the last wash or stain on its area, where the method says so; tufts into texture paste that is not
     * painted afterwards. Both halves of a wet blend are one step.
     *
     * @return array<int, int> the later step to the earlier
     */
    private function wetPairs(): array
    {
        $washes = $decals = $pastes = $tufts = $painted = [];
        foreach ($this->steps as $i => $step) {
            $area = $step->area;
            if ($area === null) {
                continue;
            }
            if ($step->technique->tidied && $step->technique->has(Effect::Shade)) {
                $last = $washes[$area->key] ?? null;
                $washes[$area->key] =
                    $last === null ||
                    [$step->phase->value, $step->catalogue, $step->pass] > [
                        $this->steps[$last]->phase->value,
                        $this->steps[$last]->catalogue,
                        $this->steps[$last]->pass,
                    ]
                        ? $i
                        : $last;
            } elseif (
                $step->technique->has(Effect::Mark) &&
                $this->method->answerFor(School::Decals, $area, $this->sculpt) === 'wet_wash'
            ) {
                $decals[$area->key] = $i;
            } elseif ($step->technique->key === WellKnown::PASTE) {
                $pastes[$area->key] = $i;
            } elseif ($step->technique->key === WellKnown::TUFTS) {
                $tufts[$area->key] = $i;
            } elseif ($step->phase->isGround()) {
                $painted[$area->key] = true;
            }
        }
        $pairs = [];
        foreach ([[$decals, $washes], [array_diff_key($tufts, $painted), $pastes]] as [$later, $first]) {
            foreach (array_intersect_key($later, $first) as $area => $i) {
                $pairs[$i] = $first[$area];
            }
        }

        return $pairs;
    }

    /**
     * A step's phase as the method places it: ground first, metals first or last, skin washed first, wear under the
     * wash.
     */
    public function phase(Step $step): float
    {
        $phase = $step->phase->value;
        if ($step->area === null) {
            return $this->isMasking($step) ? Phase::Base->value - 1 : $phase;
        }
        if (isset($this->wetPhase[spl_object_id($step)])) {
            return $this->wetPhase[spl_object_id($step)];
        }
        if ($this->ground === 'first' && $step->phase->isGround()) {
            return Phase::Value->value + ($phase - Phase::Wear->value) / 10;
        }
        if ($this->isMetalWork($step->area) && $phase >= self::FIRST_PAINT && $phase <= self::LAST_PAINT) {
            if ($this->metals === 'last') {
                return Phase::MattVarnish->value + $phase / 40;
            }
            if ($this->metals === 'first' && $step->phase === Phase::Base) {
                return Phase::Base->value - 0.5;
            }
        }
        if ($this->isWashFirst($step)) {
            return Phase::Base->value - 1;
        }
        if ($this->isWearUnderWash($step)) {
            return Phase::Shade->value - 1;
        }

        return $phase;
    }

    /** Where a step stands on its own area: its phase, and its rank among light or marks. */
    public function place(Step $step): float
    {
        $moved = $this->phase($step);
        if (isset($this->wetPhase[spl_object_id($step)])) {
            return $moved;
        }
        // Beside a wash that something goes into at once, neat shading waits until that is done.
        if (
            $step->phase === Phase::Shade &&
            ! $step->technique->tidied &&
            $step->area !== null &&
            $this->takesWet($step->area)
        ) {
            return $moved + 0.5;
        }

        return $moved === (float) $step->phase->value
            ? $step->phase->rank($step->technique)
            : $moved + ($step->phase->rank($step->technique) - $step->phase->value) / 100;
    }

    private function takesWet(Area $area): bool
    {
        foreach ($this->wet as $first) {
            if ($this->steps[$first]->area?->key === $area->key) {
                return true;
            }
        }

        return false;
    }

    private function isWashFirst(Step $step): bool
    {
        return $step->area?->material === Material::Skin &&
            $step->phase === Phase::Shade &&
            $step->technique->family === Family::Shade &&
            $step->isMessy() &&
            $this->method->answerFor(School::SkinWash, $step->area, $this->sculpt) === 'first';
    }

    /** Chips and rust go under the wash where the method says so; what is drawn on afterwards stays last. */
    private function isWearUnderWash(Step $step): bool
    {
        return $step->area !== null &&
            $step->phase === Phase::Wear &&
            ($step->technique->has(Effect::Wear) || $step->technique->key === WellKnown::RUST) &&
            $this->method->answerFor(School::Weathering, $step->area, $this->sculpt) === 'under_wash';
    }

    public function isMasking(Step $step): bool
    {
        return $step->sprays !== [];
    }

    /** Metal areas; where metals come last, also the gem in a metal ring, which comes after its ring. */
    public function isMetalWork(Area $area): bool
    {
        return $area->isMetal() ||
            ($this->metals === 'last' && $area->surround !== null && $this->sculpt->area($area->surround)->isMetal());
    }

    public function isFigurePaint(Step $step): bool
    {
        return $step->phase->value >= self::FIRST_PAINT && $step->phase->value <= self::LAST_PAINT;
    }
}
