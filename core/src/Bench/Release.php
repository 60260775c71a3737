<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Pass;
use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Planning\Unit\PieceKind;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\AmendmentAction;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\FaultTable;

/**
 * What a unit went to the bench with, whole: bench, check, repair and sign-off work from it, and nothing of it is
 * worked
 * out again. Steps stand in the unit's order of work, each under the key it was released with.
 */
final readonly class Release
{
    /**
     * @param  int  $number  of the unit's releases, from 1
     * @param  PlanRequest  $request  what a piece that differs in nothing was planned from
     * @param  list<StepKey>  $keys  of the steps of the unit's work, in their order
     * @param  array<int, list<StepKey>>  $needs  piece number to the steps it gets; pieces that are not named get all
     */
    public function __construct(
        public int $number,
        public PlanRequest $request,
        public ReleaseInputs $inputs,
        public UnitPlan $plan,
        public array $keys,
        public array $needs,
        public PrecedenceGraph $edges,
        public FaultTable $faults,
        public bool $isReconstructed = false,
    ) {
    }

    /** The steps of a plan that goes to the bench, as they will be known. */
    public static function of(
        int $number,
        PlanRequest $request,
        ReleaseInputs $inputs,
        UnitPlan $plan,
        PrecedenceGraph $edges,
        FaultTable $faults,
    ): self {
        $needs = [];
        foreach (count($plan->kinds) === 1 ? [] : $plan->kinds as $kind) {
            foreach ($kind->pieces as $piece) {
                $needs[$piece] = $plan->work->keysOf($kind->plan->work->steps);
            }
        }

        return new self($number, $request, $inputs, $plan, $plan->work->keys(), $needs, $edges, $faults);
    }

    /** @return array<string, Step> the steps of the unit's work, by key */
    public function steps(): array
    {
        return array_combine(array_map(fn (StepKey $k) => $k->id, $this->keys), $this->plan->work->steps);
    }

    /** @return array<string, Step> the steps one piece gets, by key */
    public function stepsOf(int $piece): array
    {
        $needed = $this->needs[$piece] ?? null;
        $all = $this->steps();

        return $needed === null
            ? $all
            : array_intersect_key($all, array_flip(array_map(fn (StepKey $k) => $k->id, $needed)));
    }

    /** @return list<Pass> */
    public function passes(): array
    {
        return $this->plan->work->passes;
    }

    public function kindOf(int $piece): PieceKind
    {
        return $this->plan->kindOf($piece);
    }

    /** A clause as it holds for the unit, after all that was agreed beside it; null: it was left out. */
    private function amended(AcceptanceClause $clause): ?AcceptanceClause
    {
        foreach ($this->inputs->amendments as $made) {
            $amendment = $made->amendment;
            if ($amendment->clause !== $clause->id || $made->piece !== null) {
                continue;
            }
            if ($amendment->action === AmendmentAction::Omit) {
                return null;
            }
            $clause = $amendment->change === null ? $clause : $clause->changed($amendment->change);
        }

        return $clause;
    }

    /** How pieces of this sculpt are checked; null where the tier does not say. */
    public function acceptance(): ?AcceptanceClause
    {
        $clauses = $this->request->standard->clausesOf($this->request->tier);
        foreach (Clause::only(AcceptanceClause::class, $clauses) as $clause) {
            if (in_array($this->request->sculpt->role, $clause->role, true)) {
                return $this->amended($clause);
            }
        }

        return null;
    }
}
