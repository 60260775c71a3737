<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseChange;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\Tier;

/** Changes of a tier that mend what the lint finds. */
final readonly class Proposals
{
    public function __construct(private Standard $standard)
    {
    }

    /** Allows a technique wherever a clause holds. */
    public function allowing(Tier $tier, Technique $technique, Clause $for): ClauseEdit
    {
        $id = "$tier->key.allow.$technique->key";
        $taken = array_map(fn (Clause $c) => $c->suffix(), $this->standard->clausesOf($tier));
        while (in_array(substr($id, strlen($tier->key) + 1), $taken, true)) {
            $id .= '_too';
        }
        $scope = $technique->whole ? null : $for->scope;

        return new ClauseEdit(
            $tier,
            null,
            new TechniqueClause($id, $technique->key, null, TechniqueStatus::Allowed, scope: $scope),
        );
    }

    /** Takes the clause out of the tier, whether it is its own or comes from below. */
    public function without(Tier $tier, Clause $clause): Change
    {
        return in_array($clause, $tier->clauses, true)
            ? new ClauseEdit($tier, $clause, null)
            : new TierEdit($tier, $tier->dropping($clause->suffix()));
    }

    /** The clause as the tier states it itself, changed. */
    public function own(Tier $tier, Clause $clause, ClauseChange $change): ClauseEdit
    {
        $own = in_array($clause, $tier->clauses, true) ? $clause : null;
        $named = $own === null ? $clause->changed(new ClauseChange(id: "$tier->key.{$clause->suffix()}")) : $clause;

        return new ClauseEdit($tier, $own, $named->changed($change));
    }
}
