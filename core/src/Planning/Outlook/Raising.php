<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\ConflictFinder;
use Ordotype\Core\Planning\Plan\AskedArea;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Technique;

/**
 * Raises finished or half-finished work to a tier: what to add so that done and added together meet it in the fewest
 * added minutes. What is done is fixed and paid for and counts if it reaches the grade bar; a base below the bar is a
 * repaint. An added technique that strays (mess 1 or more) covers what is done there in later phases. Nothing is
 * undercoated or sprayed again.
 */
final class Raising
{
    private readonly Planner $planner;

    /**
     * @param  array<string, list<ChosenTechnique>>  $done  by area key, '' for the whole model; empty: nothing is
     *     painted
     */
    public function __construct(
        private readonly PlanRequest $request,
        private readonly array $done,
        private readonly AreaSolver $solver = new AreaSolver(),
    ) {
        $this->planner = new Planner($solver);
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
     * @param  list<StepKey>  $keys  of the steps that are done
     * @return array<string, list<ChosenTechnique>>
     */
    public static function workSoFar(Plan $plan, array $keys): array
    {
        $there = array_flip(array_map(fn (StepKey $k) => $k->id, $keys));
        $byArea = [];
        foreach ($plan->work->steps as $step) {
            if (isset($there[$step->key()->id]) && ! $step->isBeside()) {
                $byArea[(string) $step->area?->key][] = $step;
            }
        }

        return array_map(ChosenTechnique::ofSteps(...), $byArea);
    }

    /** The added work in an order that keeps the rules. */
    public function work(): RaisedWork
    {
        $areas = $this->areas();
        $whole = $this->whole();

        $steps = (new AddedSteps($this->request))->of($areas, $whole, $this->done[''] ?? []);
        $order = WorkOrder::of($this->request->arranged($this->request->arrangement->rulesOnly()));

        return new RaisedWork($areas, $whole, $order->lay($steps), $this->concerns(), $this->isVarnished());
    }

    /** What was only prepared or undercoated is not painted work. */
    private function isPainted(): bool
    {
        return array_filter(array_diff_key($this->done, ['' => true])) !== [];
    }

    /** @return list<RaisedArea> in the sculpt's order; where nothing is painted yet, what planning chooses */
    public function areas(): array
    {
        if (! $this->isPainted()) {
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
                $this->planner->choose($this->request)->areas,
            );
        }

        return array_map(
            fn (AskedArea $a) => $this->raise($a, $this->done[(string) $a->demand->area?->key] ?? []),
            $this->planner->asks($this->request)->areas,
        );
    }

    /**
     * Whole techniques that are still to be done. Over painted work the undercoat never is, and varnish and the final
     * look are done anew.
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
        $painted = $this->isPainted();

        return array_values(
            array_filter(
                $this->planner->asks($this->request)->whole->choice->techniques ?? [],
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
     * @return list<Technique> late work on the model that the additions go over or under, such as decals to be kept;
     *     varnish is told apart by {@see isVarnished}
     */
    public function concerns(): array
    {
        $concerns = [];
        foreach ($this->done as $list) {
            foreach ($list as $used) {
                if ($used->technique->givesAny(Effect::Mark, Effect::Freehand, Effect::LetterFull)) {
                    $concerns[$used->technique->key] = $used->technique;
                }
            }
        }

        return array_values($concerns);
    }

    public function isVarnished(): bool
    {
        foreach ($this->done as $list) {
            foreach ($list as $used) {
                if ($used->technique->has(Effect::Protect)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  list<ChosenTechnique>  $done */
    private function raise(AskedArea $asked, array $done): RaisedArea
    {
        $area = $asked->demand->area;
        assert($area !== null);
        $wanted = $this->request->tier->pace->gradeBar();
        for ($bar = $wanted; $bar >= 1; $bar--) {
            $raised = match (true) {
                $done === [], $this->isRepaint($area, $done, $bar) => $this->anew($asked, $done, $bar),
                default => $this->onTop($asked, $done, $bar),
            };
            if ($raised !== null) {
                return $raised;
            }
        }
        for ($bar = $wanted; $bar >= 1; $bar--) {
            $raised = $this->anew($asked, $done, $bar);
            if ($raised !== null) {
                return $raised;
            }
        }
        $methods = array_slice($asked->problem->requirements, count($asked->demand->requirements));
        $conflict = (new ConflictFinder($this->solver))->find(
            $asked->demand,
            fn (array $some) => $asked->problem->requiring([...$some, ...$methods]),
        );

        return new RaisedArea($asked->demand, [], [], $done, false, 1, 0, $conflict);
    }

    /** @param  list<ChosenTechnique>  $done */
    private function isRepaint(Area $area, array $done, int $bar): bool
    {
        if ($area->rank === Rank::Ground) {
            return false;
        }
        foreach ($done as $used) {
            if ($used->technique->has(Effect::BaseColour)) {
                return ! RaisingOnTop::reaches($used, $area, $bar) && ! $used->technique->tidied;
            }
        }

        return false;
    }

    /**
     * A stain below the bar is clean work once it is tidied: it stays where that is no dearer than starting anew.
     *
     * @param  list<ChosenTechnique>  $done
     */
    private function isBelow(Area $area, array $done, int $bar): bool
    {
        foreach ($done as $used) {
            if ($used->technique->has(Effect::BaseColour) && $area->rank !== Rank::Ground) {
                return ! RaisingOnTop::reaches($used, $area, $bar);
            }
        }

        return false;
    }

    /** @param  list<ChosenTechnique>  $done */
    private function anew(AskedArea $asked, array $done, int $bar): ?RaisedArea
    {
        $choice = $this->solver->solve($asked->problem, $bar);

        return $choice === null
            ? null
            : new RaisedArea($asked->demand, $choice->techniques, [], $done, $done !== [], $bar, 0, null);
    }

    /** @param  list<ChosenTechnique>  $done */
    private function onTop(AskedArea $asked, array $done, int $bar): ?RaisedArea
    {
        $area = $asked->demand->area;
        $bare = $asked->problem->needsBase && ! RaisingOnTop::hasBase($done);
        $isOpen = $bare || ($area !== null && $this->isBelow($area, $done, $bar));
        $anew = $isOpen ? $this->anew($asked, $done, $bar) : null;

        return (new RaisingOnTop($this->solver, $this->request->tier->pace))->best($asked, $done, $bar, $anew);
    }
}
