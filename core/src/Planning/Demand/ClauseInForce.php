<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Scope;

/** A clause as it holds after amendments: its own scope, narrowed to `also` and without `except`. */
final readonly class ClauseInForce
{
    /**
     * @param  list<Reason>  $reasons  the clause itself, then the amendments that changed or brought it
     * @param  list<Scope>  $also
     * @param  list<Scope>  $except
     */
    public function __construct(
        public Clause $clause,
        public array $reasons,
        public array $also = [],
        public array $except = [],
    ) {
    }

    public function without(Scope $scope): self
    {
        return new self($this->clause, $this->reasons, $this->also, [...$this->except, $scope]);
    }

    public function changed(Clause $clause, Scope $there, Amendment $amendment): self
    {
        return new self(
            $clause,
            [...$this->reasons, Reason::amendment($amendment->number)],
            [...$this->also, $there],
            $this->except,
        );
    }

    public function matches(Area $area, Sculpt $sculpt): bool
    {
        return $this->clause->scope()->matches($area, $sculpt) && $this->amendmentsAllow($area, $sculpt);
    }

    /** As {@see matches}, with the rule that ground must be named: for steps, effect and finish clauses. */
    public function matchesPainting(Area $area, Sculpt $sculpt): bool
    {
        if ($area->rank !== Rank::Ground) {
            return $this->matches($area, $sculpt);
        }
        foreach ([$this->clause->scope(), ...$this->also] as $scope) {
            if ($scope->matchesPainting($area, $sculpt)) {
                return $this->matches($area, $sculpt);
            }
        }

        return false;
    }

    /** For clauses of the whole model: role and size match, and so does at least one area. */
    public function matchesModel(Sculpt $sculpt): bool
    {
        foreach ($sculpt->areas as $area) {
            if ($this->matches($area, $sculpt)) {
                return true;
            }
        }

        return false;
    }

    private function amendmentsAllow(Area $area, Sculpt $sculpt): bool
    {
        foreach ($this->also as $scope) {
            if (! $scope->matches($area, $sculpt)) {
                return false;
            }
        }
        foreach ($this->except as $scope) {
            if ($scope->matches($area, $sculpt)) {
                return false;
            }
        }

        return true;
    }
}
