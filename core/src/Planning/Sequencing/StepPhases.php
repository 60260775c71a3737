<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\WellKnown;

/** Where in the order of work each step belongs by its phase, as the method moves it. */
final readonly class StepPhases
{
    /** Steps of these phases are the figure's own paint, from underlay to wear. */
    private const FIRST_PAINT = 30;

    private const LAST_PAINT = 160;

    /** Less than any two places lie apart. */
    private const JUST_AFTER = 0.0005;

    public ?string $metals;

    public ?string $ground;

    /** @var array<int, int> what goes into something wet, to what it goes into */
    public array $wet;

    /** @var list<float> by step */
    private array $places;

    /** @param  list<Step>  $steps */
    public function __construct(private array $steps, private Sculpt $sculpt, private Method $method)
    {
        $this->metals = $method->answer(School::Metals);
        $this->ground = $method->answer(School::Ground);
        $tones = $this->tones();
        $places = array_map(fn (Step $s, int $i) => $this->placeOf($s, $tones[$i] ?? 1), $steps, array_keys($steps));
        $this->wet = $this->wetPairs($places);
        foreach ($this->wet as $then => $first) {
            $places[$then] = $places[$first] + self::JUST_AFTER;
        }
        $this->places = array_values($places);
    }

    /**
     * Edges and hatching share the tones of an area, and so do the raised lights: of T tones, as many as the most
     * passes of any of them, pass p of m goes to tone ⌈p·T/m⌉.
     *
     * @return array<int, int> by step
     */
    private function tones(): array
    {
        $passes = [];
        foreach ($this->steps as $i => $step) {
            if ($step->phase === Phase::EdgeLight || ($step->phase === Phase::RaisedLight && ! $step->isMessy())) {
                $passes[$step->area?->key.' '.$step->phase->value][$step->technique->key][$i] = $step->pass;
            }
        }
        $tones = [];
        foreach ($passes as $techniques) {
            $most = max(array_map(count(...), $techniques));
            foreach ($techniques as $own) {
                asort($own);
                foreach (array_keys($own) as $before => $i) {
                    $tones[$i] = (int) ceil((($before + 1) * $most) / count($own));
                }
            }
        }

        return $tones;
    }

    /**
     * A decal into the last wash or stain on its area, where the method says so; tufts into texture paste that is not
     * painted afterwards. Both halves of a wet blend are one step.
     *
     * @param  array<int, float>  $places  by step
     * @return array<int, int> the later step to the earlier
     */
    private function wetPairs(array $places): array
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
                    [$places[$i], $step->catalogue, $step->pass] > [
                        $places[$last],
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
            } elseif ($step->technique->key === WellKnown::TUFTS && ! $this->isTexturedFirst($area)) {
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

    /** Where a step stands in the order of work: the fine place on its area, as the method moves it. */
    public function place(int $step): float
    {
        return $this->places[$step];
    }

    private function placeOf(Step $step, int $tone): float
    {
        $place = $step->phase->rank($step->technique, $tone);
        if ($step->area === null) {
            return $this->isMasking($step) ? Phase::Base->value - 1 : $place;
        }
        if ($step->phase === Phase::GroundTexture && $this->isTexturedFirst($step->area)) {
            return Phase::Undercoat->value - 1;
        }
        $place = $this->inGroundSteps($step) ?? $place;
        if ($this->ground === 'first' && $step->phase->isGround() && $place < Phase::MattVarnish->value) {
            return Phase::Value->value + ($place - Phase::Wear->value) / 10;
        }
        if ($this->isWashFirst($step)) {
            $place = Phase::Base->value - 1;
        } elseif ($this->isWearUnderWash($step)) {
            $place = Phase::Shade->value - 1;
        }

        $isLate = $this->metals === 'last' && $this->isMetalWork($step->area);

        return match (true) {
            $isLate && $this->isFigurePaint($step) => Phase::MattVarnish->value + $place / 40,
            $isLate && $step->phase === Phase::JointTidy => Phase::MattVarnish->value + Phase::JointTidy->value / 40,
            default => $place,
        };
    }

    /** Whether sand and paste are glued on before the undercoat. */
    private function isTexturedFirst(Area $area): bool
    {
        return $this->method->answerFor(School::Texture, $area, $this->sculpt) === 'before_undercoat';
    }

    /** Where the method puts a technique of the ground; what follows water stands after matt varnish, too. */
    private function inGroundSteps(Step $step): ?float
    {
        $nth = array_search($step->technique->key, $this->method->groundSteps, true);
        if ($nth === false || $step->technique->family !== Family::Ground || $step->phase === Phase::Rim) {
            return null;
        }
        $afterWater = $step->phase === Phase::GroundPlants;
        foreach (array_slice($this->method->groundSteps, 0, (int) $nth) as $earlier) {
            foreach ($this->steps as $other) {
                $isSame = $other->technique->key === $earlier && $other->area?->key === $step->area?->key;
                $afterWater = $afterWater || ($isSame && $other->phase === Phase::GroundPlants);
            }
        }

        return ($afterWater ? Phase::GroundPlants->value : Phase::GroundTexture->value) + (int) $nth / 100;
    }

    private function isWashFirst(Step $step): bool
    {
        return $step->area?->material === Material::Skin &&
            $step->phase === Phase::Shade &&
            $step->technique->family === Family::Shade &&
            $step->isMessy() &&
            $this->method->answerFor(School::SkinWash, $step->area, $this->sculpt) === 'first' &&
            // Both under and over its base: the first pass goes under.
            ($step->pass === 1 || ! $this->method->isAlso(School::SkinWash, 'over'));
    }

    /** Chips and rust go under the wash where the method says so; what is drawn on afterwards stays last. */
    private function isWearUnderWash(Step $step): bool
    {
        if ($step->area === null || $step->phase !== Phase::Wear) {
            return false;
        }
        $own = $this->method->answerOf(School::Weathering, $step->technique->key);
        $isMeant = $step->technique->has(Effect::Wear) || $step->technique->key === WellKnown::RUST;
        $all = $isMeant ? $this->method->answerFor(School::Weathering, $step->area, $this->sculpt) : null;

        return ($own ?? $all) === 'under_wash';
    }

    /** Whether light_last puts it in order: lights, and blends that lie between them. */
    public function isLight(int $step): bool
    {
        $phase = $this->steps[$step]->phase;
        $rank = $phase->rank($this->steps[$step]->technique);

        return $phase->isLight() || ($phase === Phase::BlendAndTint && $rank < Phase::BlendAndTint->value);
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
