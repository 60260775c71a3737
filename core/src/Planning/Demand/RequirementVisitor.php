<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

/**
 * What some other room makes of each kind of requirement: one method a kind, so that a new kind is missed nowhere.
 *
 * @template-covariant T
 */
interface RequirementVisitor
{
    /** @return T */
    public function steps(StepsRequirement $asked): mixed;

    /** @return T */
    public function effect(EffectRequirement $asked): mixed;

    /** @return T */
    public function technique(TechniqueRequirement $asked): mixed;

    /** @return T */
    public function finish(FinishRequirement $asked): mixed;

    /** @return T */
    public function model(ModelRequirement $asked): mixed;
}
