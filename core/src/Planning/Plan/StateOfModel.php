<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Demand\ModelRequirement;
use Ordotype\Core\Planning\Demand\RequirementVisitor;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Standard\School;

/**
 * How a plan stands to what is asked of the whole model: ranges are told by the plan, the rest by its techniques.
 *
 * @implements RequirementVisitor<RequirementState>
 */
final readonly class StateOfModel implements RequirementVisitor
{
    /** @param  RequirementState  $byTechniques  what the techniques alone make of it */
    public function __construct(
        private ChosenWork $chosen,
        private OrderedWork $work,
        private RequirementState $byTechniques,
    ) {
    }

    public function steps(StepsRequirement $asked): RequirementState
    {
        return $this->byTechniques;
    }

    public function effect(EffectRequirement $asked): RequirementState
    {
        return $this->byTechniques;
    }

    public function technique(TechniqueRequirement $asked): RequirementState
    {
        return $this->byTechniques;
    }

    public function finish(FinishRequirement $asked): RequirementState
    {
        return $this->byTechniques;
    }

    public function model(ModelRequirement $asked): RequirementState
    {
        return match ($asked->figure) {
            ModelFigure::Minutes => self::within($asked, $this->work->handMinutes(), null),
            ModelFigure::SprayedColours => self::within(
                $asked,
                count($this->chosen->sprayed),
                $this->chosen->context->method->sprays() ? null : School::Spraying,
            ),
            ModelFigure::Skill => $this->byTechniques,
        };
    }

    private static function within(ModelRequirement $asked, float $have, ?School $school): RequirementState
    {
        return match (true) {
            $asked->min !== null && $have < $asked->min => new RequirementState(
                $asked,
                Standing::Short,
                $asked->min - $have,
                school: $school,
            ),
            $asked->max !== null && $have > $asked->max + AreaProblem::TIE => new RequirementState(
                $asked,
                Standing::Over,
                $have - $asked->max,
            ),
            default => new RequirementState($asked, Standing::Met),
        };
    }
}
