<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Scope;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\WellKnown;

/**
 * What a tier says of each technique on a kind of area: the rule of the last matching clause, without a whole plan.
 */
final readonly class Statuses
{
    /** @var list<Clause> */
    public array $clauses;

    /** @var array<string, list<TechniqueClause>> by technique */
    private array $naming;

    public function __construct(Standard $standard, public Tier $tier)
    {
        $this->clauses = $standard->clausesOf($tier);
        $naming = [];
        foreach (Clause::only(TechniqueClause::class, $this->clauses) as $clause) {
            foreach (array_filter($standard->techniques, $clause->names(...)) as $technique) {
                $naming[$technique->key][] = $clause;
            }
        }
        $this->naming = $naming;
    }

    /** @return list<TechniqueClause> the clauses that name the technique */
    public function naming(Technique $technique): array
    {
        return $this->naming[$technique->key] ?? [];
    }

    /** @return list<TechniqueClause> those of them that may speak of an area in the scope */
    public function namingIn(Technique $technique, Scope $scope): array
    {
        // What is done to the whole model asks for models alone.
        return $technique->whole
            ? $this->naming($technique)
            : array_values(
                array_filter($this->naming($technique), fn (TechniqueClause $c) => ! $c->scope()->isApartFrom($scope)),
            );
    }

    /** @return array{TechniqueStatus, list<TechniqueClause>} the status there, and the clauses that require it */
    public function of(Technique $technique, Area $area, Sculpt $sculpt): array
    {
        return $this->by($this->naming($technique), $technique, $area, $sculpt);
    }

    /**
     * The same by some clauses alone, where the others cannot speak of the area.
     *
     * @param  list<TechniqueClause>  $naming
     * @return array{TechniqueStatus, list<TechniqueClause>}
     */
    public function by(array $naming, Technique $technique, Area $area, Sculpt $sculpt): array
    {
        $default = $this->tier->defaultStatus();
        $status =
            $default === TechniqueStatus::NotOffered && $technique->key === WellKnown::TIDY
                ? TechniqueStatus::Allowed
                : $default;
        $required = [];
        foreach ($naming as $clause) {
            if (
                ! ($technique->whole
                    ? $clause->scope()->matchesModel($sculpt)
                    : $clause->scope()->matches($area, $sculpt))
            ) {
                continue;
            }
            if ($clause->status === TechniqueStatus::Required) {
                $status = TechniqueStatus::Required;
                $required[] = $clause;
            } elseif ($clause->status !== TechniqueStatus::Allowed || $status !== TechniqueStatus::Required) {
                $status = $clause->status;
                $required = [];
            }
        }

        return [$status, $required];
    }

    public function mayUse(Technique $technique, Area $area, Sculpt $sculpt): bool
    {
        return $this->of($technique, $area, $sculpt)[0]->isUsable();
    }
}
