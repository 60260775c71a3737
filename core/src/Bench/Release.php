<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

use Ordotype\Core\Sequencing\Pass;
use Ordotype\Core\Sequencing\PrecedenceGraph;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Sequencing\StepKey;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Unit\PieceKind;
use Ordotype\Core\Unit\UnitPlan;

/**
 * What a unit went to the bench with, whole: bench, check, repair and sign-off work from it, and nothing of it is worked
 * out again. Steps stand in the unit's order of work, each under the key it was released with.
 */
final readonly class Release
{
    /**
     * @param  int  $number  of the unit's releases, from 1
     * @param  list<StepKey>  $keys  of the steps of the unit's work, in their order
     * @param  array<int, list<StepKey>>  $needs  piece number to the steps it gets; pieces that are not named get all
     */
    public function __construct(
        public int $number,
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
    public static function of(int $number, ReleaseInputs $inputs, UnitPlan $plan, PrecedenceGraph $edges, FaultTable $faults): self
    {
        $needs = [];
        foreach (count($plan->kinds) === 1 ? [] : $plan->kinds as $kind) {
            foreach ($kind->pieces as $piece) {
                $needs[$piece] = $plan->work->keysOf($kind->plan->work->steps);
            }
        }

        return new self($number, $inputs, $plan, $plan->work->keys(), $needs, $edges, $faults);
    }

    /** The next release of the unit, without a piece that is lost or cancelled; the work of the others stays. */
    public function without(int $piece): self
    {
        $needs = $this->needs;
        unset($needs[$piece]);

        return new self(
            $this->number + 1,
            $this->inputs,
            $this->plan->without($piece),
            $this->keys,
            $needs,
            $this->edges,
            $this->faults,
            $this->isReconstructed,
        );
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

        return $needed === null ? $all : array_intersect_key($all, array_flip(array_map(fn (StepKey $k) => $k->id, $needed)));
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

    /** How pieces of this sculpt are checked; null where the tier does not say. */
    public function acceptance(): ?AcceptanceClause
    {
        $request = $this->plan->plain()->request;
        $isOfRole = fn (Clause $c): bool => $c instanceof AcceptanceClause && in_array($request->sculpt->role, $c->role, true);
        $clauses = array_values(array_filter($request->tier->clauses, $isOfRole));

        return ($clauses[0] ?? null) instanceof AcceptanceClause ? $clauses[0] : null;
    }
}
