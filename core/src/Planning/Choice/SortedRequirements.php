<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Demand\ModelRequirement;
use Ordotype\Core\Planning\Demand\RequirementVisitor;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;

/**
 * Joined requirements of one area, by what the choice of techniques makes of them.
 *
 * @implements RequirementVisitor<null>
 */
final class SortedRequirements implements RequirementVisitor
{
    /** @var array<string, TechniqueRequirement> by technique */
    public array $required = [];

    /** @var list<EffectRequirement> */
    public array $effects = [];

    public ?StepsRequirement $counted = null;

    public function steps(StepsRequirement $asked): null
    {
        $this->counted = $asked;

        return null;
    }

    public function effect(EffectRequirement $asked): null
    {
        $this->effects[] = $asked;

        return null;
    }

    public function technique(TechniqueRequirement $asked): null
    {
        $this->required[$asked->technique] = $asked;

        return null;
    }

    /** Shown by the finished work; no choice is made for it. */
    public function finish(FinishRequirement $asked): null
    {
        return null;
    }

    /** Kept to by the plan as a whole. */
    public function model(ModelRequirement $asked): null
    {
        return null;
    }
}
