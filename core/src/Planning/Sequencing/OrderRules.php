<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\WellKnown;

/**
 * The rules of order as edges between the steps of a plan: on one area, on the whole model, for kept-apart parts and
 * what must happen while something is wet; between areas that touch, {@see NeighbourRules}.
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
        private Method $method,
        private array $overrules = [],
    ) {
        $this->phases = new StepPhases($steps, $sculpt, $method);
    }

    /**
     * @param  array<string, true>  $soiled  keys of areas onto which something strays before the stain that will show
     *     it, added to
     */
    public function edges(array &$soiled = []): PrecedenceGraph
    {
        $edges = $this->ruled();
        (new Underlays($this->steps, $this->sculpt, $edges))->put($soiled);
        foreach ($this->overrules as $overrule) {
            $this->setAside($edges, $overrule);
        }

        return $edges;
    }

    private function ruled(): PrecedenceGraph
    {
        $edges = new PrecedenceGraph(count($this->steps));
        $this->neighbours($edges)->put();
        $whole = array_keys(array_filter($this->steps, fn (Step $s) => $s->area === null));
        $this->policies($edges);
        $this->parts($edges);
        $this->wholeSteps($edges, $whole);
        $this->whileWet($edges);
        foreach ($whole as $w) {
            $this->bind($edges, $w, $this->sprayedAfter($w));
        }

        return $edges;
    }

    private function neighbours(PrecedenceGraph $edges): NeighbourRules
    {
        $byArea = [];
        foreach ($this->steps as $i => $step) {
            if ($step->area !== null) {
                $byArea[$step->area->key][] = $i;
            }
        }
        foreach ($byArea as $key => $own) {
            $byArea[$key] = $this->onOneArea($edges, $own);
        }

        return new NeighbourRules($this->steps, $byArea, $this->sculpt, $this->method, $this->phases, $edges);
    }

    /** What goes into something wet follows it at once. */
    private function whileWet(PrecedenceGraph $edges): void
    {
        foreach ($this->phases->wet as $then => $first) {
            $this->bind($edges, $first, [$then]);
            $edges->put($first, $then, Rule::WhileWet);
        }
    }

    /**
     * Lets some steps follow another directly: whatever else must come before them comes before that one already, and
     * what that one itself must come before does not hold them up.
     *
     * @param  list<int>  $then
     */
    private function bind(PrecedenceGraph $edges, int $first, array $then): void
    {
        $later = $edges->reachedFrom($first, $then);
        $before = $edges->reversed();
        foreach ($then as $step) {
            foreach ($before[$step] as $earlier => $rules) {
                if ($earlier === $first || in_array($earlier, $then, true)) {
                    continue;
                }
                if (isset($later[$earlier])) {
                    $edges->drop($earlier, $step);
                }
                foreach (isset($later[$earlier]) ? [] : $rules as $rule) {
                    $edges->put($earlier, $first, $rule);
                }
            }
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

    /** Kept-apart parts are finished, but for what stands after matt, and joined; then the joint is tidied. */
    private function parts(PrecedenceGraph $edges): void
    {
        foreach ($this->steps as $join => $step) {
            if ($step->area !== null || $step->technique->key !== WellKnown::JOIN_PARTS) {
                continue;
            }
            foreach ($this->steps as $i => $other) {
                if ($other->phase === Phase::JointTidy) {
                    $edges->put($join, $i, Rule::JoinLate);
                } elseif ($other->area?->part !== null && $this->phases->place($i) < Phase::MattVarnish->value) {
                    $edges->put($i, $join, Rule::JoinLate);
                }
            }
        }
    }

    /**
     * @param  list<int>  $own
     * @return list<int> in their order on the area
     */
    private function onOneArea(PrecedenceGraph $edges, array $own): array
    {
        usort($own, fn (int $a, int $b) => $this->keyOnArea($a) <=> $this->keyOnArea($b));
        for ($k = 1; $k < count($own); $k++) {
            [$before, $after] = [$this->steps[$own[$k - 1]], $this->steps[$own[$k]]];
            $sameTechnique = $before->technique->key === $after->technique->key;
            $edges->put(
                $own[$k - 1],
                $own[$k],
                match (true) {
                    $this->phases->isLight($own[$k - 1]) && $this->phases->isLight($own[$k]) => Rule::LightLast,
                    $sameTechnique => Rule::DryThrough,
                    $before->phase === Phase::DecalGloss && $after->phase === Phase::Mark => Rule::MarkSurface,
                    $this->phases->place($own[$k - 1]) !== $this->phases->place($own[$k]) => Rule::Phase,
                    $before->isMessy() && ! $after->isMessy() => Rule::MessFirst,
                    default => Rule::DryThrough,
                },
            );
        }

        return $own;
    }

    /** @return array{float, int, int, int, int, int} */
    private function keyOnArea(int $i): array
    {
        $step = $this->steps[$i];
        $wear = $step->phase === Phase::Wear;

        return [
            $this->phases->place($i),
            $step->isMessy() && ! $wear ? 0 : 1,
            $step->driesForHours() ? 0 : 1,
            -$step->extent->value,
            $step->catalogue,
            $step->pass,
        ];
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
            if (
                $this->phases->ground === 'apart' &&
                $step->area->rank === Rank::Ground &&
                $step->phase !== Phase::Rim
            ) {
                foreach ($this->steps as $j => $join) {
                    if ($join->technique->key === WellKnown::JOIN_BASE) {
                        $edges->put($i, $j, Rule::GroundPolicy);
                    }
                }
            }
            if (
                ! $step->phase->isGround() ||
                $this->phases->place($i) < Phase::Undercoat->value ||
                ! in_array($this->phases->ground, ['first', 'last'], true)
            ) {
                continue;
            }
            // What follows water stands after matt varnish wherever the ground is painted.
            $isAfterWater = $this->phases->place($i) >= Phase::MattVarnish->value;
            foreach ($this->steps as $j => $other) {
                if ($other->area === null || ! $this->phases->isFigurePaint($other)) {
                    continue;
                }
                $isLateMetal = $this->phases->metals === 'last' && $this->phases->isMetalWork($other->area);
                if ($this->phases->ground === 'last' && ! $isLateMetal) {
                    $edges->put($j, $i, Rule::GroundPolicy);
                } elseif ($this->phases->ground === 'first' && ! $other->isSprayed() && ! $isAfterWater) {
                    $edges->put($i, $j, Rule::GroundPolicy);
                }
            }
        }
    }

    /**
     * Preparation first of all, then the undercoat; varnish over all paint; the rim as the last paint; joining, and the
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
            $mine = $this->phases->place($w);
            foreach ($this->steps as $i => $other) {
                $theirs = $this->phases->place($i);
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
                    if ($i !== $rim && $this->phases->place($i) < Phase::Rim->value) {
                        $edges->put($i, $rim, Rule::RimLast);
                    }
                }
            }
        }
    }

    /** What the masking covers is painted before it; what it is done for comes directly after it. */
    private function masking(PrecedenceGraph $edges, int $masking): void
    {
        foreach ($this->steps as $i => $step) {
            if ($step->area !== null && $step->phase === Phase::Base && $step->isSprayed()) {
                if (in_array($step->area->key, $this->steps[$masking]->sprays, true)) {
                    $edges->put($masking, $i, Rule::Phase);
                } elseif (in_array($step->area->key, $this->steps[$masking]->covers, true)) {
                    $edges->put($i, $masking, Rule::Phase);
                }
            }
        }
    }

    /** @return list<int> the sprayed bases that a masking is done for */
    private function sprayedAfter(int $masking): array
    {
        $sprays = $this->steps[$masking]->sprays;

        return array_keys(
            array_filter(
                $sprays === [] ? [] : $this->steps,
                fn (Step $s) => $s->phase === Phase::Base &&
                    $s->isSprayed() &&
                    in_array($s->area?->key, $sprays, true),
            ),
        );
    }

    /** @return list<int> */
    private function wholeOf(Phase $phase): array
    {
        return array_keys(array_filter($this->steps, fn (Step $s) => $s->area === null && $s->phase === $phase));
    }
}
