<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
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

    public function __construct(Standard $standard, public Tier $tier)
    {
        $this->clauses = $standard->clausesOf($tier);
    }

    /** @return list<TechniqueClause> the clauses that name the technique */
    public function naming(Technique $technique): array
    {
        return array_values(
            array_filter($this->clauses, fn (Clause $c) => $c instanceof TechniqueClause && $c->names($technique)),
        );
    }

    /** @return array{TechniqueStatus, list<TechniqueClause>} the status there, and the clauses that require it */
    public function of(Technique $technique, Area $area, Sculpt $sculpt): array
    {
        $default = $this->tier->defaultStatus();
        $status =
            $default === TechniqueStatus::NotOffered && $technique->key === WellKnown::TIDY
                ? TechniqueStatus::Allowed
                : $default;
        $required = [];
        foreach ($this->naming($technique) as $clause) {
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
        return in_array(
            $this->of($technique, $area, $sculpt)[0],
            [TechniqueStatus::Required, TechniqueStatus::Allowed],
            true,
        );
    }
}
