<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Method\Method;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
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
    private StepPhases $phases;

    /**
     * @param  list<Step>  $steps
     * @param  list<Overrule>  $overrules  what the lead has set aside, with reasons
     */
    public function __construct(
        private array $steps,
        private Sculpt $sculpt,
        Method $method,
        private array $overrules = [],
    ) {
        $this->phases = new StepPhases($steps, $sculpt, $method);
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
     * What goes into something wet follows it at once: whatever else must come before the second comes before the
     * first already.
     */
    private function whileWet(PrecedenceGraph $edges): void
    {
        $before = $edges->reversed();
        foreach ($this->phases->wet as $then => $first) {
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
                    $this->phases->place($before) !== $this->phases->place($after) => Rule::Phase,
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
            $this->phases->place($step),
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
        if ($inner->isMetal() !== $outer->isMetal() && in_array($this->phases->metals, ['first', 'last'], true)) {
            return $this->phases->metals === 'first' && $inner->isMetal() ? Rule::MetalsPolicy : null;
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
                    if (
                        isset($this->phases->wet[$j]) &&
                        $this->steps[$this->phases->wet[$j]]->pot() === $messy->pot()
                    ) {
                        continue; // both washes are one pass, and what goes into them comes after it
                    }
                    if (
                        ! $neat->isMessy() &&
                        $neat->phase !== Phase::Wear &&
                        $this->phases->phase($neat) >= $this->phases->phase($messy) &&
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
            if (
                $this->phases->metals === 'last' &&
                $this->phases->isMetalWork($step->area) &&
                $this->phases->isFigurePaint($step)
            ) {
                foreach ($varnish as $matt) {
                    $edges->put($matt, $i, Rule::MetalsPolicy);
                }
            }
            if ($this->phases->ground === 'apart' && $step->area->rank === Rank::Ground) {
                foreach ($this->steps as $j => $join) {
                    if ($join->technique->key === WellKnown::JOIN_BASE) {
                        $edges->put($i, $j, Rule::GroundPolicy);
                    }
                }
            }
            if (! $step->phase->isGround() || ! in_array($this->phases->ground, ['first', 'last'], true)) {
                continue;
            }
            foreach ($this->steps as $j => $other) {
                if ($other->area === null || ! $this->phases->isFigurePaint($other)) {
                    continue;
                }
                if ($this->phases->ground === 'first' && $other->phase === Phase::Base) {
                    $edges->put($i, $j, Rule::GroundPolicy);
                } elseif (
                    $this->phases->ground === 'last' &&
                    ! ($this->phases->metals === 'last' && $this->phases->isMetalWork($other->area))
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
            if ($this->phases->isMasking($step)) {
                $this->masking($edges, $w);

                continue;
            }
            $mine = $this->phases->phase($step);
            foreach ($this->steps as $i => $other) {
                $theirs = $this->phases->phase($other);
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
                    if ($i !== $rim && $this->phases->phase($other) < Phase::Rim->value) {
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
        return array_values(array_filter($own, fn (int $i) => $this->phases->isFigurePaint($this->steps[$i])));
    }

    /** @return list<int> */
    private function wholeOf(Phase $phase): array
    {
        return array_keys(array_filter($this->steps, fn (Step $s) => $s->area === null && $s->phase === $phase));
    }
}
