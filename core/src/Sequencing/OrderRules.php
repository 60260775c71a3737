<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Method\Method;
use Ordotype\Core\Method\School;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\WellKnown;

/**
 * The rules of order as edges between the steps of a plan.
 *
 * Where two rules meet, the narrower one holds: ring_then_gem and skin_then_teeth beat inner_first and mess_first
 * between the two areas; a method's say on metals beats inner_first and mess_first between metal and other areas; a
 * messy base goes before a neat one on a touching area whatever their layers (mess_first beats inner_first). Where
 * metals come last, a gem in a metal ring is painted with them.
 */
final readonly class OrderRules
{
    /** Steps of these phases are the figure's own paint, from underlay to wear. */
    private const FIRST_PAINT = 30;

    private const LAST_PAINT = 160;

    private ?string $metals;

    private ?string $ground;

    /** @var array<int, int> what goes into something wet, to what it goes into */
    private array $wet;

    /** @var array<int, float> the phase of a step that goes into something wet, by the step's object id */
    private array $wetPhase;

    /**
     * @param  list<Step>  $steps
     * @param  list<Overrule>  $overrules  what the lead has set aside, with reasons
     */
    public function __construct(
        private array $steps,
        private Sculpt $sculpt,
        private Method $method,
        private array $overrules = [],
    ) {
        $this->metals = $method->answer(School::Metals);
        $this->ground = $method->answer(School::Ground);
        $this->wet = $this->wetPairs();
        $phases = [];
        foreach ($this->wet as $then => $first) {
            $phases[spl_object_id($steps[$then])] = $steps[$first]->phase->value + 0.4;
        }
        $this->wetPhase = $phases;
    }

    public function edges(): PrecedenceGraph
    {
        $edges = new PrecedenceGraph(count($this->steps));
        /** @var array<string, list<int>> $byArea */
        $byArea = [];
        $whole = [];
        foreach ($this->steps as $i => $step) {
            if ($step->area === null) {
                $whole[] = $i;
            } else {
                $byArea[$step->area->key][] = $i;
            }
        }
        foreach ($byArea as $own) {
            $this->onOneArea($edges, $own);
        }
        $this->ringsAndTeeth($edges, $byArea);
        $this->bases($edges);
        $this->mess($edges, $byArea);
        $this->policies($edges);
        $this->parts($edges);
        $this->wholeSteps($edges, $whole);
        $this->whileWet($edges);
        foreach ($this->overrules as $overrule) {
            $this->setAside($edges, $overrule);
        }

        return $edges;
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
            if ($step->technique->tidied && $step->technique->givesAny(Effect::Shade)) {
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
                $step->technique->givesAny(Effect::Mark) &&
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
     * What goes into something wet follows it at once: whatever else must come before the second comes before the
     * first already.
     */
    private function whileWet(PrecedenceGraph $edges): void
    {
        $before = $edges->reversed();
        foreach ($this->wet as $then => $first) {
            foreach ($before[$then] as $earlier => $rules) {
                foreach ($earlier === $first || $edges->has($first, $earlier) ? [] : $rules as $rule) {
                    $edges->put($earlier, $first, $rule);
                }
            }
            $edges->put($first, $then, Rule::WhileWet);
        }
    }

    private function setAside(PrecedenceGraph $edges, Overrule $overrule): void
    {
        foreach ($this->steps as $i => $earlier) {
            foreach ($earlier->place()->is($overrule->earlier) ? $edges->after($i) : [] as $j => $rules) {
                if ($this->steps[$j]->place()->is($overrule->later)) {
                    $edges->set($i, $j, array_diff_key($rules, [$overrule->rule->value => true]));
                }
            }
        }
    }

    /** Kept-apart parts are finished before they are joined; the joint is tidied after. */
    private function parts(PrecedenceGraph $edges): void
    {
        foreach ($this->steps as $join => $step) {
            if ($step->area !== null || $step->technique->key !== WellKnown::JOIN_PARTS) {
                continue;
            }
            foreach ($this->steps as $i => $other) {
                if ($other->phase === Phase::JointTidy) {
                    $edges->put($join, $i, Rule::JoinLate);
                } elseif ($other->area?->part !== null) {
                    $edges->put($i, $join, Rule::JoinLate);
                }
            }
        }
    }

    /**
     * A step's phase as the method places it: ground first, metals first or last, skin washed first, wear under the
     * wash.
     */
    private function phase(Step $step): float
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
    private function place(Step $step): float
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
            ($step->technique->givesAny(Effect::Wear) || $step->technique->key === WellKnown::RUST) &&
            $this->method->answerFor(School::Weathering, $step->area, $this->sculpt) === 'under_wash';
    }

    private function isMasking(Step $step): bool
    {
        return $step->sprays !== [];
    }

    /** Metal areas; where metals come last, also the gem in a metal ring, which comes after its ring. */
    private function isMetalWork(Area $area): bool
    {
        return $area->isMetal() ||
            ($this->metals === 'last' && $area->surround !== null && $this->sculpt->area($area->surround)->isMetal());
    }

    /** @param  list<int>  $own */
    private function onOneArea(PrecedenceGraph $edges, array $own): void
    {
        usort($own, fn (int $a, int $b) => $this->keyOnArea($a) <=> $this->keyOnArea($b));
        for ($k = 1; $k < count($own); $k++) {
            [$before, $after] = [$this->steps[$own[$k - 1]], $this->steps[$own[$k]]];
            $sameTechnique = $before->technique->key === $after->technique->key;
            $edges->put(
                $own[$k - 1],
                $own[$k],
                match (true) {
                    $before->phase->isLight() && $after->phase->isLight() => Rule::LightLast,
                    $sameTechnique => Rule::DryThrough,
                    $before->phase === Phase::DecalGloss && $after->phase === Phase::Mark => Rule::MarkSurface,
                    $this->place($before) !== $this->place($after) => Rule::Phase,
                    $before->isMessy() && ! $after->isMessy() => Rule::MessFirst,
                    default => Rule::DryThrough,
                },
            );
        }
    }

    /** @return array{float, int, int, int, int} */
    private function keyOnArea(int $i): array
    {
        $step = $this->steps[$i];
        $wear = $step->phase === Phase::Wear;

        return [
            $this->place($step),
            $step->isMessy() && ! $wear ? 0 : 1,
            -$step->extent->value,
            $step->catalogue,
            $step->pass,
        ];
    }

    /** @param  array<string, list<int>>  $byArea */
    private function ringsAndTeeth(PrecedenceGraph $edges, array $byArea): void
    {
        foreach ($this->sculpt->areas as $area) {
            $own = $this->painted($byArea[$area->key] ?? []);
            if ($area->surround !== null) {
                foreach ($byArea[$area->surround] ?? [] as $ring) {
                    $phase = $this->steps[$ring]->phase;
                    if ($phase === Phase::Base || ($phase->isLight() && $phase !== Phase::Tidy)) {
                        foreach ($own as $gem) {
                            $edges->put($ring, $gem, Rule::RingThenGem);
                        }
                    }
                }
            }
            if (! in_array($area->material, [Material::TeethClaw, Material::Eye], true)) {
                continue;
            }
            foreach ($this->sculpt->areas as $skin) {
                if ($skin->material !== Material::Skin || ! $this->sculpt->touch($area->key, $skin->key)) {
                    continue;
                }
                foreach ($byArea[$skin->key] ?? [] as $shade) {
                    if ($this->steps[$shade]->phase === Phase::Shade) {
                        foreach ($own as $tooth) {
                            $edges->put($shade, $tooth, Rule::SkinThenTeeth);
                        }
                    }
                }
            }
        }
    }

    private function bases(PrecedenceGraph $edges): void
    {
        $bases = array_keys(
            array_filter($this->steps, fn (Step $s) => $s->phase === Phase::Base && $s->area !== null),
        );
        foreach ($bases as $one) {
            foreach ($bases as $other) {
                $rule = $one === $other ? null : $this->baseBefore($this->steps[$one], $this->steps[$other]);
                if ($rule !== null && ! $edges->has($other, $one)) {
                    $edges->put($one, $other, $rule);
                }
            }
        }
    }

    /** The rule, if any, by which the first base comes before the second. */
    private function baseBefore(Step $first, Step $second): ?Rule
    {
        [$inner, $outer] = [$first->area, $second->area];
        if ($inner === null || $outer === null || $inner->key === $outer->key) {
            return null;
        }
        if ($inner->isMetal() !== $outer->isMetal() && in_array($this->metals, ['first', 'last'], true)) {
            return $this->metals === 'first' && $inner->isMetal() ? Rule::MetalsPolicy : null;
        }
        $sprayed = $first->technique->family === Family::Spray;
        if ($sprayed !== ($second->technique->family === Family::Spray)) {
            return $sprayed && ! $this->framed($inner, $outer) ? Rule::InnerFirst : null;
        }
        if (
            $sprayed ||
            $first->isMessy() !== $second->isMessy() ||
            ! $this->sculpt->touchAtWork($inner->key, $outer->key)
        ) {
            return null;
        }

        return $inner->layer < $outer->layer && ! $this->framed($inner, $outer) ? Rule::InnerFirst : null;
    }

    /**
     * Whether the outer area must be painted before the inner one after all: it is its ring, or the skin around it.
     */
    private function framed(Area $inner, Area $outer): bool
    {
        return $inner->surround === $outer->key ||
            (in_array($inner->material, [Material::TeethClaw, Material::Eye], true) &&
                $outer->material === Material::Skin);
    }

    /** @param  array<string, list<int>>  $byArea */
    private function mess(PrecedenceGraph $edges, array $byArea): void
    {
        foreach ($this->steps as $i => $messy) {
            if (! $messy->isMessy() || $messy->area === null || $messy->phase === Phase::Wear) {
                continue;
            }
            foreach ($byArea as $key => $others) {
                if (! $this->sculpt->touchAtWork($messy->area->key, (string) $key)) {
                    continue;
                }
                foreach ($others as $j) {
                    $neat = $this->steps[$j];
                    if (isset($this->wet[$j]) && $this->steps[$this->wet[$j]]->pot() === $messy->pot()) {
                        continue; // both washes are one pass, and what goes into them comes after it
                    }
                    if (
                        ! $neat->isMessy() &&
                        $neat->phase !== Phase::Wear &&
                        $this->phase($neat) >= $this->phase($messy) &&
                        ! $edges->has($j, $i)
                    ) {
                        $edges->put($i, $j, Rule::MessFirst);
                    }
                }
            }
        }
    }

    private function policies(PrecedenceGraph $edges): void
    {
        $varnish = $this->wholeOf(Phase::MattVarnish);
        foreach ($this->steps as $i => $step) {
            if ($step->area === null) {
                continue;
            }
            if ($this->metals === 'last' && $this->isMetalWork($step->area) && $this->isFigurePaint($step)) {
                foreach ($varnish as $matt) {
                    $edges->put($matt, $i, Rule::MetalsPolicy);
                }
            }
            if ($this->ground === 'apart' && $step->area->rank === Rank::Ground) {
                foreach ($this->steps as $j => $join) {
                    if ($join->technique->key === WellKnown::JOIN_BASE) {
                        $edges->put($i, $j, Rule::GroundPolicy);
                    }
                }
            }
            if (! $step->phase->isGround() || ! in_array($this->ground, ['first', 'last'], true)) {
                continue;
            }
            foreach ($this->steps as $j => $other) {
                if ($other->area === null || ! $this->isFigurePaint($other)) {
                    continue;
                }
                if ($this->ground === 'first' && $other->phase === Phase::Base) {
                    $edges->put($i, $j, Rule::GroundPolicy);
                } elseif (
                    $this->ground === 'last' &&
                    ! ($this->metals === 'last' && $this->isMetalWork($other->area))
                ) {
                    $edges->put($j, $i, Rule::GroundPolicy);
                }
            }
        }
    }

    /**
     * Preparation first of all, then the undercoat; varnish over all paint; the rim as the last paint; joining, and
     * the
     * final look at the very end. Masking stands directly before the colour it is done for.
     *
     * @param  list<int>  $whole
     */
    private function wholeSteps(PrecedenceGraph $edges, array $whole): void
    {
        foreach ($whole as $w) {
            $step = $this->steps[$w];
            if ($this->isMasking($step)) {
                $this->masking($edges, $w);

                continue;
            }
            $mine = $this->phase($step);
            foreach ($this->steps as $i => $other) {
                $theirs = $this->phase($other);
                if ($edges->has($w, $i) || $edges->has($i, $w)) {
                    continue; // a method's policy has said so already
                }
                if ($mine < $theirs || ($mine === $theirs && $w < $i)) {
                    $edges->put($w, $i, Rule::Phase);
                } elseif ($mine > $theirs) {
                    $edges->put(
                        $i,
                        $w,
                        $step->phase === Phase::MattVarnish && $other->phase === Phase::Mark
                            ? Rule::SealMarks
                            : Rule::Phase,
                    );
                }
            }
        }
        foreach ($this->steps as $rim => $step) {
            if ($step->phase === Phase::Rim) {
                foreach ($this->steps as $i => $other) {
                    if ($i !== $rim && $this->phase($other) < Phase::Rim->value) {
                        $edges->put($i, $rim, Rule::RimLast);
                    }
                }
            }
        }
    }

    /** What the masking covers is painted before it; what it is done for comes after it. */
    private function masking(PrecedenceGraph $edges, int $masking): void
    {
        foreach ($this->steps as $i => $step) {
            if ($step->area !== null && $step->phase === Phase::Base && $step->technique->family === Family::Spray) {
                if (in_array($step->area->key, $this->steps[$masking]->sprays, true)) {
                    $edges->put($masking, $i, Rule::Phase);
                } elseif (in_array($step->area->key, $this->steps[$masking]->covers, true)) {
                    $edges->put($i, $masking, Rule::Phase);
                }
            }
        }
    }

    /**
     * @param  list<int>  $own
     * @return list<int>
     */
    private function painted(array $own): array
    {
        return array_values(array_filter($own, fn (int $i) => $this->isFigurePaint($this->steps[$i])));
    }

    private function isFigurePaint(Step $step): bool
    {
        return $step->phase->value >= self::FIRST_PAINT && $step->phase->value <= self::LAST_PAINT;
    }

    /** @return list<int> */
    private function wholeOf(Phase $phase): array
    {
        return array_keys(array_filter($this->steps, fn (Step $s) => $s->area === null && $s->phase === $phase));
    }
}
