<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\ConflictFinder;
use Ordotype\Core\Planning\Choice\Subsets;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\DemandResolver;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\WellKnown;

/** Chooses the techniques of one area at a time: what may be used there, and what of it meets the tier soonest. */
final readonly class AreaPlanner
{
    public function __construct(private PlanContext $context, private AreaSolver $solver)
    {
    }

    /** What is asked of an area, as the method lets it be asked. */
    public function demand(DemandResolver $demands, Area $area): AreaDemand
    {
        $demand = $demands->ofArea($area);

        return $this->context->method->mayBeSimpler($area)
            ? $demand->simpler(Reason::method(School::Backs))
            : $demand;
    }

    /** @param  bool  $mayBeSprayed  whether the base may be sprayed, whatever the tier says of that technique */
    public function problem(AreaDemand $demand, bool $mayBeSprayed): AreaProblem
    {
        $area = $demand->area;
        assert($area !== null);
        $request = $this->context->request;
        $method = $this->context->method;
        $adds = $demand->isUnpainted ? [] : $method->adds($area);
        $candidates = [];
        $requirements = $demand->requirements;
        foreach ($request->standard->techniques as $index => $technique) {
            $added = isset($adds[$technique->key]);
            $isAllowed = isset($demand->allowed[$technique->key]);
            $usable =
                $isAllowed ||
                $added ||
                $method->permits($technique) !== null ||
                ($mayBeSprayed && $technique->key === WellKnown::SPRAY);
            $isUnwanted = $demand->isUnpainted && $technique->givesAny(Effect::BaseColour, Effect::Underlay);
            if (
                ! $usable ||
                $isUnwanted ||
                // What the tier allows on the area fits it.
                (! $isAllowed && ! FittingTechniques::fits($technique, $area)) ||
                $method->keepsOff($technique, $area) !== null
            ) {
                continue;
            }
            $candidates[] = Candidate::onArea(
                $technique,
                $index,
                $area,
                $request->sculpt,
                $request->tier->pace,
                $method,
            );
            if ($added) {
                $why = [Reason::method($adds[$technique->key])];
                $requirements[] = new TechniqueRequirement($area->key, $why, null, $technique->key, Extent::Full, 1);
            }
        }
        $needsBase = $demand->needsBase();

        return new AreaProblem($candidates, $requirements, $needsBase, $request->tier->pace, $this->context->given);
    }

    /** Solves at the pace's grade bar, lowering it by one until something fits; a conflict where nothing does. */
    public function solve(AreaDemand $demand, AreaProblem $problem, ?int $from = null): PlannedArea
    {
        $wanted = $from ?? $this->context->request->tier->pace->gradeBar();
        $found =
            $this->solved($demand, $problem, $wanted) ??
            ($demand->area === null ? null : $this->shortByMethod($demand, $demand->area, $problem, $wanted));
        if ($found !== null) {
            return $found;
        }
        $methods = array_slice($problem->requirements, count($demand->requirements));
        $conflict = (new ConflictFinder($this->solver))->find(
            $demand,
            fn (array $asked) => $problem->requiring([...$asked, ...$methods]),
        );

        return new PlannedArea($demand, null, 1, $wanted - 1, $conflict);
    }

    private function solved(AreaDemand $demand, AreaProblem $problem, int $wanted): ?PlannedArea
    {
        $stains =
            $demand->area !== null && $this->context->method->buildsDownFromStains($demand->area)
                ? $problem->onStains()
                : null;
        for ($bar = $wanted; $bar >= 1; $bar--) {
            $choice =
                ($stains === null ? null : $this->solver->solve($stains, $bar)) ??
                $this->solver->solve($problem, $bar);
            if ($choice !== null) {
                return new PlannedArea($demand, $choice, $bar, $wanted - $bar, null);
            }
        }

        return null;
    }

    /**
     * Where the tier can be met only without the method: the fewest requirements are left out, then in least minutes,
     * and the school that stands in the way is the reason.
     */
    private function shortByMethod(AreaDemand $demand, Area $area, AreaProblem $problem, int $wanted): ?PlannedArea
    {
        $school = $this->schoolInTheWay($demand);
        if ($school === null) {
            return null;
        }
        $asked = $demand->requirements;
        $methods = array_slice($problem->requirements, count($asked));
        for ($out = 1; $out <= count($asked); $out++) {
            $best = null;
            foreach (Subsets::of(count($asked), $out) as $left) {
                $kept = array_values(array_diff_key($asked, array_flip($left)));
                $found = $this->solved($demand, $problem->requiring([...$kept, ...$methods]), $wanted);
                $soonest = $best?->choice === null ? INF : $best->choice->minutes - AreaProblem::TIE;
                if ($found?->choice !== null && $found->choice->minutes < $soonest) {
                    $best = $found;
                }
            }
            if ($best !== null) {
                return new PlannedArea($demand, $best->choice, $best->gradeBar, $best->relaxed, null, $school);
            }
        }

        return null;
    }

    /**
     * The first school without which the area could be planned; null where the method is not what stands in the way.
     */
    private function schoolInTheWay(AreaDemand $demand): ?School
    {
        $request = $this->context->request;
        if ($request->method->choices === []) {
            return null;
        }
        $bare = $this->context->for($request->by(new Method())->amended([]));
        $without = function (Method $method) use ($bare, $request, $demand): bool {
            $onModel = new MethodOnModel($method, $request->sculpt, $request->scheme, $request->shelf);

            return $this->solver->canBeMet(
                (new self($bare->by($onModel), $this->solver))->problem($demand, false),
                1,
            );
        };
        if (! $without(new Method())) {
            return null;
        }
        foreach (School::cases() as $school) {
            if (isset($request->method->choices[$school->value]) && $without($request->method->without($school))) {
                return $school;
            }
        }

        return School::cases()[0];
    }
}
