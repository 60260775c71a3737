<?php

declare(strict_types=1);

namespace Ordotype\Core\Outlook;

use Ordotype\Core\Choice\AreaProblem;
use Ordotype\Core\Choice\AreaSolver;
use Ordotype\Core\Choice\Candidate;
use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Choice\ConflictFinder;
use Ordotype\Core\Choice\Conformance;
use Ordotype\Core\Demand\AreaDemand;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Planning\Arrangement;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\PlannedArea;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sequencing\Phase;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\WellKnown;

/**
 * Raises finished or half-finished work to a tier: what to add so that done and added together meet it in the fewest
 * added minutes. What is done is fixed and paid for and counts if it reaches the grade bar; a base below the bar is a
 * repaint. An added technique that strays (mess 1 or more) covers what is done there in later phases. Nothing is
 * undercoated or sprayed again.
 */
final class Raising
{
    private AreaSolver $solver;

    /**
     * @param  array<string, list<ChosenTechnique>>  $done  by area key, '' for the whole model; empty: nothing is
     * painted
     */
    public function __construct(private readonly PlanRequest $request, private readonly array $done)
    {
        $this->solver = new AreaSolver();
    }

    /**
     * What a plan does on each area, to be raised from.
     *
     * @return array<string, list<ChosenTechnique>>
     */
    public static function workOf(Plan $plan): array
    {
        $done = [];
        foreach ([...$plan->areas, $plan->whole] as $planned) {
            $done[$planned->demand->area->key ?? ''] = $planned->choice->techniques ?? [];
        }

        return $done;
    }

    /**
     * What is done when only some steps of a plan are.
     *
     * @param  list<string>  $keys  of the steps that are done
     * @return array<string, list<ChosenTechnique>>
     */
    public static function workSoFar(Plan $plan, array $keys): array
    {
        $there = array_flip($keys);
        $byArea = [];
        foreach ($plan->work->steps as $step) {
            if (isset($there[$step->key()]) && $step->sprays === [] && $step->phase !== Phase::JointTidy) {
                $byArea[(string) $step->area?->key][] = $step;
            }
        }

        return array_map(StoppingPoints::used(...), $byArea);
    }

    /** The added work in an order that keeps the rules. */
    public function work(): RaisedWork
    {
        $areas = $this->areas();
        $whole = $this->whole();

        return new RaisedWork(
            $areas,
            $whole,
            Planner::orderOf(
                $this->request->arranged(new Arrangement($this->request->arrangement->overrules)),
                Planner::addedSteps($this->request, $areas, $whole, $this->done[''] ?? []),
            ),
            $this->concerns(),
        );
    }

    /** @return list<RaisedArea> in the sculpt's order; from nothing, what planning chooses */
    public function areas(): array
    {
        if (array_filter($this->done) === []) {
            return array_map(
                fn (PlannedArea $p) => new RaisedArea(
                    $p->demand,
                    $p->choice->techniques ?? [],
                    [],
                    [],
                    false,
                    $p->gradeBar,
                    0,
                    $p->conflict,
                ),
                Planner::choose($this->request),
            );
        }

        return array_map(
            fn (array $pair) => $this->raise($pair[0], $pair[1], $this->done[(string) $pair[0]->area?->key] ?? []),
            Planner::problems($this->request)[0],
        );
    }

    /**
     * Whole techniques that are still to be done; the undercoat never is. Over painted work, varnish and the final
     * look
     * are done anew.
     *
     * @return list<ChosenTechnique>
     */
    public function whole(): array
    {
        $there = array_map(
            fn (ChosenTechnique $u) => $u->technique->key,
            array_filter(
                $this->done[''] ?? [],
                fn (ChosenTechnique $u) => ! $u->technique->givesAny(Effect::Protect, Effect::Check) ||
                    ! $this->addsAnything(),
            ),
        );
        $painted = array_filter($this->done) !== [];

        return array_values(
            array_filter(
                Planner::problems($this->request)[1]->choice->techniques ?? [],
                fn (ChosenTechnique $u) => ! in_array($u->technique->key, $there, true) &&
                    ! ($painted && $u->technique->givesAny(Effect::Undercoat, Effect::Value)),
            ),
        );
    }

    private function addsAnything(): bool
    {
        return array_filter($this->areas(), fn (RaisedArea $a) => $a->added !== []) !== [];
    }

    /**
     * @return list<string> keys of late work on the model that the additions go over or under: varnish to be taken
     * into account, decals to be kept
     */
    public function concerns(): array
    {
        $concerns = [];
        foreach ($this->done as $list) {
            foreach ($list as $used) {
                if ($used->technique->givesAny(Effect::Protect, Effect::Mark, Effect::Freehand, Effect::LetterFull)) {
                    $concerns[$used->technique->key] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($concerns));
    }

    /** @param  list<ChosenTechnique>  $done */
    private function raise(AreaDemand $demand, AreaProblem $problem, array $done): RaisedArea
    {
        $area = $demand->area;
        assert($area !== null);
        $wanted = $this->request->tier->pace->gradeBar();
        for ($bar = $wanted; $bar >= 1; $bar--) {
            $raised =
                $done === [] || $this->isRepaint($area, $done, $bar)
                    ? $this->anew($demand, $problem, $done, $bar)
                    : $this->onTop($demand, $problem, $done, $bar, $area);
            if ($raised !== null) {
                return $raised;
            }
        }
        for ($bar = $wanted; $bar >= 1; $bar--) {
            $raised = $this->anew($demand, $problem, $done, $bar);
            if ($raised !== null) {
                return $raised;
            }
        }
        $methods = array_slice($problem->requirements, count($demand->requirements));

        return new RaisedArea(
            $demand,
            [],
            [],
            $done,
            false,
            1,
            0,
            (new ConflictFinder($this->solver))->find(
                $demand,
                fn (array $asked) => $problem->requiring([...$asked, ...$methods]),
            ),
        );
    }

    /** @param  list<ChosenTechnique>  $done */
    private function isRepaint(Area $area, array $done, int $bar): bool
    {
        if ($area->rank === Rank::Ground) {
            return false;
        }
        foreach ($done as $used) {
            if ($used->technique->givesAny(Effect::BaseColour)) {
                return ! self::reaches($used, $area, $bar) && ! $used->technique->tidied;
            }
        }

        return false;
    }

    /** @param  list<ChosenTechnique>  $done */
    private function anew(AreaDemand $demand, AreaProblem $problem, array $done, int $bar): ?RaisedArea
    {
        $choice = $this->solver->solve($problem, $bar);

        return $choice === null
            ? null
            : new RaisedArea($demand, $choice->techniques, [], $done, $done !== [], $bar, 0, null);
    }

    /**
     * Tries every phase up to which what is done is to stay, so that nothing that strays is added before it, and takes
     * the cheapest; among equals the one that keeps most. Where the base is still to come, what lies under it may stay
     * or be gone over.
     *
     * @param  list<ChosenTechnique>  $done
     */
    private function onTop(AreaDemand $demand, AreaProblem $problem, array $done, int $bar, Area $area): ?RaisedArea
    {
        $bare = $problem->needsBase && ! self::hasBase($done);
        $best = $bare ? $this->anew($demand, $problem, $done, $bar) : null;
        $staying = $bare
            ? array_values(
                array_filter($done, fn (ChosenTechnique $u) => Phase::of($u->technique)->value < Phase::Base->value),
            )
            : $done;
        $phases = array_values(
            array_unique(array_map(fn (ChosenTechnique $u) => Phase::of($u->technique)->value, $staying)),
        );
        rsort($phases);
        $base = $bare || $area->rank === Rank::Ground ? 0 : Phase::Base->value;
        foreach ($phases as $i => $last) {
            if ($last < $base) {
                continue;
            }
            $next = $phases[$i - 1] ?? null;
            $there = array_values(
                array_filter($staying, fn (ChosenTechnique $u) => Phase::of($u->technique)->value <= $last),
            );
            $open = $problem->filtered(
                fn (Candidate $c) => ($bare || ! $c->isBase()) &&
                    ($c->technique->mess === 0 || Phase::of($c->technique)->value >= $last),
            );
            foreach (
                array_merge(
                    ...array_map(
                        fn (?Requirement $cover) => $this->variants($demand, $open, $there, $bar, $area, $cover),
                        self::covering($open, $next),
                    ),
                ) as [$variant, $counted]
            ) {
                $choice = $this->solver->solve($variant, $bar);
                if (
                    $choice !== null &&
                    ($best === null ||
                        $choice->minutes < $best->minutes() + ($best->repainted ? AreaSolver::TIE : -AreaSolver::TIE))
                ) {
                    $lost = array_values(
                        array_filter($done, fn (ChosenTechnique $u) => ! in_array($u, $counted, true)),
                    );
                    $best = new RaisedArea(
                        $demand,
                        $choice->techniques,
                        $counted,
                        $lost,
                        false,
                        $bar,
                        $this->over($demand, $counted),
                        null,
                    );
                }
            }
        }

        return $best;
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
                $covers[] = Requirement::effect(
                    null,
                    [],
                    null,
                    [Effect::from((string) array_key_first($technique->effects))],
                    Extent::Spot,
                    1,
                    [$technique->key],
                );
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
     * @return list<array{AreaProblem, list<ChosenTechnique>}>
     */
    private function variants(
        AreaDemand $demand,
        AreaProblem $problem,
        array $there,
        int $bar,
        Area $area,
        ?Requirement $cover,
    ): array {
        $required = array_map(fn (Requirement $r) => $r->technique, $demand->of(RequirementKind::Technique));
        $clean = array_values(
            array_filter(
                $there,
                fn (ChosenTechnique $u) => self::reaches($u, $area, $bar) ||
                    in_array($u->technique->key, $required, true),
            ),
        );
        $rescued = array_values(
            array_filter(
                $there,
                fn (ChosenTechnique $u) => $u->technique->tidied && $bar <= 4 && ! in_array($u, $clean, true),
            ),
        );
        $all = array_values(
            array_filter(
                $there,
                fn (ChosenTechnique $u) => in_array($u, $clean, true) || in_array($u, $rescued, true),
            ),
        );
        $variants = [];
        foreach ($rescued === [] ? [$clean] : [$all, $clean] as $counted) {
            $tidied = Conformance::isTidied($counted);
            $left = $this->left($problem, $counted, $tidied);
            $left = $cover === null ? $left : $left->requiring([...$left->requirements, $cover]);
            if ($left->needsBase && self::hasBase($there)) {
                continue;
            }
            $lightDone =
                array_filter(
                    $counted,
                    fn (ChosenTechnique $u) => $u->technique->givesAny(Effect::HighlightRaised, Effect::HighlightEdge),
                ) !== [];
            $washDone =
                array_filter($counted, fn (ChosenTechnique $u) => $u->technique->key === WellKnown::WASH) !== [] &&
                $this->request->tier->pace !== Pace::Fast;
            $washTidies = $lightDone && $this->request->tier->pace !== Pace::Fast;
            $must = ! $tidied && (($counted === $all && $rescued !== []) || ($washDone && $lightDone));
            if ($must || (($washDone || $washTidies) && ! $tidied)) {
                foreach ([WellKnown::TIDY, WellKnown::LAYER] as $tidier) {
                    $fit = array_filter(
                        $left->candidates,
                        fn (Candidate $c) => $c->technique->key === $tidier &&
                            ($c->grade === null ||
                                $c->grade >= $bar ||
                                ($c->technique->tidied && $bar <= 4) ||
                                in_array($tidier, $required, true)),
                    );
                    if ($fit === []) {
                        continue;
                    }
                    $variants[] = [$left->requiring(self::tidying($left->requirements, $area, $tidier)), $counted];
                }
                if (! $must) {
                    // Untidied, a wash that is there allows no light, and light that is there allows no wash.
                    $variants[] = [
                        $left->filtered(
                            fn (Candidate $c) => $washDone ? ! $c->isLight() : $c->technique->key !== WellKnown::WASH,
                        ),
                        $counted,
                    ];
                }
            } else {
                $variants[] = [$left, $counted];
            }
        }

        return $variants;
    }

    /**
     * One requirement for the tidying, with what a clause asks of the same technique already.
     *
     * @param  list<Requirement>  $requirements
     * @return list<Requirement>
     */
    private static function tidying(array $requirements, Area $area, string $tidier): array
    {
        $isSame = fn (Requirement $r): bool => $r->kind === RequirementKind::Technique && $r->technique === $tidier;
        $asked = array_values(array_filter($requirements, $isSame))[0] ?? null;
        $others = array_values(array_filter($requirements, fn (Requirement $r) => ! $isSame($r)));

        return [
            ...$others,
            Requirement::technique(
                $area->key,
                [...$asked->clauses ?? [], 'tidy'],
                $asked?->severity,
                $tidier,
                Extent::Full,
                $asked->passes ?? 1,
            ),
        ];
    }

    /** @param  list<ChosenTechnique>  $counted */
    private function left(AreaProblem $problem, array $counted, bool $tidied): AreaProblem
    {
        $requirements = [];
        foreach ($problem->requirements as $requirement) {
            $have = 0;
            foreach ($counted as $used) {
                $have += match ($requirement->kind) {
                    RequirementKind::Steps => $used->credit(),
                    RequirementKind::Effect => Conformance::serves($requirement, $used) ? $used->passes : 0,
                    RequirementKind::Technique => $used->technique->key === $requirement->technique &&
                    $used->extent->value >= $requirement->extent->value
                        ? $used->passes
                        : 0,
                    default => 0,
                };
            }
            $less = in_array(
                $requirement->kind,
                [RequirementKind::Steps, RequirementKind::Effect, RequirementKind::Technique],
                true,
            )
                ? $requirement->lessDone($have)
                : $requirement;
            if ($less !== null) {
                $requirements[] = $less;
            }
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
                if (
                    $candidate->technique->key !== $used->technique->key &&
                    (in_array($candidate->technique->key, $used->technique->excludes, true) ||
                        in_array($used->technique->key, $candidate->technique->excludes, true))
                ) {
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
            $tidied,
            $passes,
            $spotOnly,
        );
    }

    /** @param  list<ChosenTechnique>  $list */
    private static function hasBase(array $list): bool
    {
        return array_filter($list, fn (ChosenTechnique $u) => $u->technique->givesAny(Effect::BaseColour)) !== [];
    }

    private static function reaches(ChosenTechnique $used, Area $area, int $bar): bool
    {
        $grade = Candidate::gradeOn($used->technique, $used->technique->suit($area->relief));

        return $grade === null || $grade >= $bar;
    }

    /** @param  list<ChosenTechnique>  $counted */
    private function over(AreaDemand $demand, array $counted): int
    {
        $most = $demand->first(RequirementKind::Steps)?->max;

        return $most === null
            ? 0
            : max(0, array_sum(array_map(fn (ChosenTechnique $u) => $u->credit(), $counted)) - (int) $most);
    }
}
