<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/**
 * What some other room makes of each kind of clause: one method a kind, so that a new kind is missed nowhere.
 *
 * @template-covariant T
 */
interface ClauseVisitor
{
    /** @return T */
    public function steps(StepsClause $clause): mixed;

    /** @return T */
    public function sprayedColours(SprayedColoursClause $clause): mixed;

    /** @return T */
    public function effect(EffectClause $clause): mixed;

    /** @return T */
    public function technique(TechniqueClause $clause): mixed;

    /** @return T */
    public function finish(FinishClause $clause): mixed;

    /** @return T */
    public function acceptance(AcceptanceClause $clause): mixed;

    /** @return T */
    public function minutes(MinutesClause $clause): mixed;

    /** @return T */
    public function skill(SkillClause $clause): mixed;
}
