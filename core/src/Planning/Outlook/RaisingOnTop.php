<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conformance;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Planning\Plan\AskedArea;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/** The cheapest addition to what is done on one area, keeping as much of it as that lets stand. */
final readonly class RaisingOnTop
{
    public function __construct(private AreaSolver $solver, private Pace $pace)
    {
    }

    /**
     * Tries every phase up to which what is done is to stay, so that nothing that strays is added before it, and takes
     * the cheapest; among equals the one that keeps most. Where the base is still to come, what lies under it may stay
     * or be gone over.
     *
     * @param  list<ChosenTechnique>  $done
     * @param  RaisedArea|null  $anew  the area begun anew, where that is a way too
     */
    public function best(AskedArea $asked, array $done, int $bar, ?RaisedArea $anew): ?RaisedArea
    {
        $area = $asked->demand->area;
        assert($area !== null);
        $phase = fn (ChosenTechnique $u): int => Phase::of($u->technique)->value;
        $bare = $asked->problem->needsBase && ! self::hasBase($done);
        $best = $anew;
        $staying = $bare ? self::only($done, fn (ChosenTechnique $u) => $phase($u) < Phase::Base->value) : $done;
        $phases = array_values(array_unique(array_map($phase, $staying)));
        rsort($phases);
        $base = $bare || $area->rank === Rank::Ground ? 0 : Phase::Base->value;
        foreach ($phases as $i => $last) {
            if ($last < $base) {
                continue;
            }
            $there = self::only($staying, fn (ChosenTechnique $u) => $phase($u) <= $last);
            $isLit = self::only($there, self::isStandingLight(...)) !== [];
            $open = $asked->problem->filtered(
                fn (Candidate $c) => ($bare || ! $c->isBase()) &&
                    ! ($isLit && $c->technique->key === WellKnown::TIDY) &&
                    ($c->technique->mess === 0 || Phase::of($c->technique)->value >= $last),
            );
            foreach (self::covering($open, $phases[$i - 1] ?? null) as $cover) {
                foreach ($this->variants($asked->demand, $open, $there, $bar, $area, $cover) as $left) {
                    $raised = $this->raised($asked->demand, $left, $done, $bar);
                    $tie = $best?->repainted === true ? AreaProblem::TIE : -AreaProblem::TIE;
                    if ($raised !== null && ($best === null || $raised->minutes() < $best->minutes() + $tie)) {
                        $best = $raised;
                    }
                }
            }
        }

        return $best;
    }

    /** Neat light that a base colour put back would run under. */
    private static function isStandingLight(ChosenTechnique $used): bool
    {
        $phase = Phase::of($used->technique);

        return $phase->isNeatLight() ||
            ($phase === Phase::RaisedLight && $used->technique->mess < Technique::MESSY);
    }

    /** @param  list<ChosenTechnique>  $list */
    public static function hasBase(array $list): bool
    {
        return self::only($list, fn (ChosenTechnique $u) => $u->technique->has(Effect::BaseColour)) !== [];
    }

    public static function reaches(ChosenTechnique $used, Area $area, int $bar): bool
    {
        $grade = Candidate::gradeOn($used->technique, $used->technique->suit($area->relief));

        return $grade === null || $grade >= $bar;
    }

    /** @param  list<ChosenTechnique>  $done */
    private function raised(AreaDemand $demand, LeftToDo $left, array $done, int $bar): ?RaisedArea
    {
        $choice = $this->solver->solve($left->problem, $bar);
        if ($choice === null) {
            return null;
        }
        $lost = self::only($done, fn (ChosenTechnique $u) => ! in_array($u, $left->counted, true));
        $most = $demand->steps()?->max;
        $credit = array_sum(array_map(fn (ChosenTechnique $u) => $u->credit(), $left->counted));
        $over = $most === null ? 0 : max(0, $credit - $most);

        return new RaisedArea($demand, $choice->techniques, $left->counted, $lost, false, $bar, $over, null);
    }

    /**
     * What is done from a phase on is lost only if something that strays is added before it: for each technique that
     * could do that, the requirement that it is. From no phase on: nothing is lost and nothing required.
     *
     * @return list<Requirement|null>
     */
    private static function covering(AreaProblem $problem, ?int $phase): array
    {
        if ($phase === null) {
            return [null];
        }
        $covers = [];
        foreach ($problem->candidates as $candidate) {
            $technique = $candidate->technique;
            if ($technique->mess >= 1 && Phase::of($technique)->value < $phase) {
                $effect = Effect::from((string) array_key_first($technique->effects));
                $covers[] = new EffectRequirement(null, [], null, [$effect], Extent::Spot, 1, [$technique->key]);
            }
        }

        return $covers;
    }

    /**
     * The problem of what is left when some of what is there counts. A wash or stain below the bar counts only where
     * it
     * is tidied; a wash under light calls for tidying at an even or the finest pace.
     *
     * @param  list<ChosenTechnique>  $there
     * @return list<LeftToDo>
     */
    private function variants(
        AreaDemand $demand,
        AreaProblem $problem,
        array $there,
        int $bar,
        Area $area,
        ?Requirement $cover,
    ): array {
        $required = array_map(fn (TechniqueRequirement $r) => $r->technique, $demand->of(TechniqueRequirement::class));
        $clean = self::only(
            $there,
            fn (ChosenTechnique $u) => self::reaches($u, $area, $bar) || in_array($u->technique->key, $required, true),
        );
        $rescued = self::only(
            $there,
            fn (ChosenTechnique $u) => $u->technique->tidied &&
                $bar <= Conformance::TIDIED_GRADE &&
                ! in_array($u, $clean, true),
        );
        $all = self::only(
            $there,
            fn (ChosenTechnique $u) => in_array($u, $clean, true) || in_array($u, $rescued, true),
        );
        $variants = [];
        foreach ($rescued === [] ? [$clean] : [$all, $clean] as $counted) {
            $left = $this->left($problem, $counted);
            $left = $cover === null ? $left : $left->requiring([...$left->requirements, $cover]);
            if (! $left->needsBase || ! self::hasBase($there)) {
                $leans = $counted === $all && $rescued !== [];
                array_push($variants, ...$this->tidied($left, $counted, $leans, $required, $bar, $area));
            }
        }

        return $variants;
    }

    /**
     * The ways to go on from what counts: as it is, tidied by either tidier, or without what would call for tidying.
     *
     * @param  list<ChosenTechnique>  $counted
     * @param  bool  $leans  whether some of what counts does so only where it is tidied
     * @param  list<string>  $required  keys of techniques
     * @return list<LeftToDo>
     */
    private function tidied(
        AreaProblem $left,
        array $counted,
        bool $leans,
        array $required,
        int $bar,
        Area $area,
    ): array {
        $careful = $this->pace !== Pace::Fast;
        $gives = fn (ChosenTechnique $u): bool => $u->technique->givesAny(
            Effect::HighlightRaised,
            Effect::HighlightEdge,
        );
        $lightDone = $careful && self::only($counted, $gives) !== [];
        $washDone =
            $careful && self::only($counted, fn (ChosenTechnique $u) => $u->technique->key === WellKnown::WASH) !== [];
        if (self::isTidied($counted) || ! ($leans || $washDone || $lightDone)) {
            return [new LeftToDo($left, $counted)];
        }
        $ways = [];
        foreach ([WellKnown::TIDY, WellKnown::LAYER] as $tidier) {
            $isClean = fn (Candidate $c): bool => $c->grade === null ||
                $c->grade >= $bar ||
                ($c->technique->tidied && $bar <= Conformance::TIDIED_GRADE) ||
                in_array($tidier, $required, true);
            $fit = array_filter(
                $left->candidates,
                fn (Candidate $c) => $c->technique->key === $tidier && $isClean($c),
            );
            if ($fit !== []) {
                $ways[] = new LeftToDo(
                    $left->requiring(self::tidying($left->requirements, $area, $tidier)),
                    $counted,
                );
            }
        }
        if (! $leans && ! ($washDone && $lightDone)) {
            // Untidied, a wash that is there allows no light, and light that is there allows no wash.
            $without = fn (Candidate $c): bool => $washDone ? ! $c->isLight() : $c->technique->key !== WellKnown::WASH;
            $ways[] = new LeftToDo($left->filtered($without), $counted);
        }

        return $ways;
    }

    /**
     * Layers that are there count as tidying, on prominent parts too: nobody puts the base back under them.
     *
     * @param  list<ChosenTechnique>  $there
     */
    private static function isTidied(array $there): bool
    {
        $isLayer = fn (ChosenTechnique $u): bool => $u->technique->key === WellKnown::LAYER &&
            $u->extent->value >= Extent::Prominent->value;

        return Conformance::isTidied($there) || self::only($there, $isLayer) !== [];
    }

    /**
     * One requirement for the tidying, with what a clause asks of the same technique already.
     *
     * @param  list<Requirement>  $requirements
     * @return list<Requirement>
     */
    private static function tidying(array $requirements, Area $area, string $tidier): array
    {
        $isIt = fn (TechniqueRequirement $r): bool => $r->technique === $tidier;
        $same = array_filter(Requirement::only(TechniqueRequirement::class, $requirements), $isIt);
        $others = array_values(array_filter($requirements, fn (Requirement $r) => ! in_array($r, $same, true)));
        $asked = array_values($same)[0] ?? null;
        $why = [...$asked->reasons ?? [], Reason::tidying()];

        return [
            ...$others,
            new TechniqueRequirement($area->key, $why, $asked?->severity, $tidier, Extent::Full, $asked->passes ?? 1),
        ];
    }

    /** @param  list<ChosenTechnique>  $counted */
    private function left(AreaProblem $problem, array $counted): AreaProblem
    {
        $requirements = [];
        foreach ($problem->requirements as $requirement) {
            $less = $requirement->left($counted);
            $requirements = $less === null ? $requirements : [...$requirements, $less];
        }
        $given = $problem->given;
        $passes = [];
        $spotOnly = [];
        foreach ($counted as $used) {
            foreach (array_keys($used->technique->effects) as $effect) {
                $given[] = Effect::from($effect);
            }
            $passes[$used->technique->key] = $used->passes;
            foreach ($used->extent->value > Extent::Spot->value ? $problem->candidates : [] as $candidate) {
                if ($candidate->technique->excludesOrIsExcludedBy($used->technique)) {
                    $spotOnly[$candidate->technique->key] = true;
                }
            }
        }

        return new AreaProblem(
            $problem->candidates,
            $requirements,
            $problem->needsBase && ! self::hasBase($counted),
            $problem->pace,
            $given,
            self::isTidied($counted),
            $passes,
            $spotOnly,
        );
    }

    /**
     * @param  list<ChosenTechnique>  $list
     * @param  callable(ChosenTechnique): bool  $keep
     * @return list<ChosenTechnique>
     */
    private static function only(array $list, callable $keep): array
    {
        return array_values(array_filter($list, $keep));
    }
}
