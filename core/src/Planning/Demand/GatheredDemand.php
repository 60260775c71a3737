<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseVisitor;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\TechniqueClause;

/**
 * What clauses ask of one area (null: of the whole model), gathered clause by clause, in their order. Effects that only
 * whole techniques give, whole techniques, sprayed colours, minutes and skill are asked of the model.
 *
 * @implements ClauseVisitor<null>
 */
final class GatheredDemand implements ClauseVisitor
{
    /** @var list<Requirement> */
    public array $asked = [];

    /** @var list<NotApplicable> what is asked and cannot be done there */
    public array $notApplicable = [];

    /** @var array<string, TechniqueSaid> by technique */
    public array $said = [];

    /** @var array<string, float> what the last clause that says so gives a technique, in minutes a model */
    public array $minutes = [];

    private ClauseInForce $inForce;

    /**
     * @param  \Closure(\Ordotype\Core\Standard\Technique): TechniqueSaid  $unsaid  what holds of a technique that no
     * clause names
     * @param  bool  $isUnpainted  on purpose: nothing is asked of its cover
     */
    public function __construct(
        private readonly FittingTechniques $fitting,
        private readonly Sculpt $sculpt,
        private readonly \Closure $unsaid,
        private readonly ?Area $area = null,
        private readonly bool $isUnpainted = false,
    ) {
    }

    public function add(ClauseInForce $inForce): void
    {
        $this->inForce = $inForce;
        $inForce->clause->accept($this);
    }

    public function steps(StepsClause $clause): null
    {
        if ($this->area !== null && $this->holdsInPainting($this->area)) {
            $this->asked[] = new StepsRequirement(
                $this->area->key,
                $this->inForce->reasons,
                $clause->severity,
                $clause->min,
                $clause->max,
            );
        }

        return null;
    }

    public function sprayedColours(SprayedColoursClause $clause): null
    {
        return $this->range($clause, ModelFigure::SprayedColours, $clause->min, $clause->max);
    }

    public function effect(EffectClause $clause): null
    {
        $isOfWhole = $this->fitting->isOfWhole($clause->effects);
        if ($isOfWhole === ($this->area !== null)) {
            return null;
        }
        $one = EffectRequirement::of($clause->asked(), $this->area?->key, $this->inForce->reasons, $clause->severity);
        if ($this->area === null) {
            if ($this->inForce->matchesModel($this->sculpt)) {
                $this->asked[] = $one;
            }
        } elseif ($this->holdsInPainting($this->area)) {
            $unfit = $this->fitting->whyNot($one, $this->area);
            if ($unfit !== null) {
                $this->notApplicable[] = new NotApplicable($this->area, $one, $unfit);
            } else {
                $this->asked[] = $one;
            }
        }

        return null;
    }

    public function technique(TechniqueClause $clause): null
    {
        $holds =
            $this->area === null
                ? $this->inForce->matchesModel($this->sculpt)
                : $this->inForce->matches($this->area, $this->sculpt);
        foreach ($holds ? $this->fitting->namedBy($clause) : [] as $technique) {
            if ($technique->whole !== ($this->area === null)) {
                continue;
            }
            if ($clause->minutes !== null) {
                $this->minutes[$technique->key] = $clause->minutes;
            }
            $before = $this->said[$technique->key] ?? ($this->unsaid)($technique);
            if (! $clause->isRequired()) {
                $this->said[$technique->key] = $before->then($clause);

                continue;
            }
            $one = new TechniqueRequirement(
                $this->area?->key,
                $this->inForce->reasons,
                $clause->severity,
                $technique->key,
                $clause->extent(),
                $clause->passes(),
            );
            $unfit = $this->area === null ? null : $this->fitting->whyUnfit($technique, $this->area);
            if ($this->area !== null && $unfit !== null) {
                $this->notApplicable[] = new NotApplicable($this->area, $one, $unfit);
            } else {
                $this->said[$technique->key] = $before->requiring($one);
            }
        }

        return null;
    }

    public function finish(FinishClause $clause): null
    {
        $isMet = $this->isUnpainted && $clause->criterion->isOfCover();
        if ($this->area !== null && ! $isMet && $this->holdsInPainting($this->area)) {
            $this->asked[] = new FinishRequirement(
                $this->area->key,
                $this->inForce->reasons,
                $clause->severity,
                $clause->criterion,
                $clause->limit,
            );
        }

        return null;
    }

    /** How the finished work is checked; it asks nothing of the painting. */
    public function acceptance(AcceptanceClause $clause): null
    {
        return null;
    }

    public function minutes(MinutesClause $clause): null
    {
        return in_array($this->sculpt->size, $clause->size, true)
            ? $this->range($clause, ModelFigure::Minutes, null, $clause->max)
            : null;
    }

    public function skill(SkillClause $clause): null
    {
        return $this->range($clause, ModelFigure::Skill, $clause->min, null);
    }

    private function holdsInPainting(Area $area): bool
    {
        return $this->inForce->matchesPainting($area, $this->sculpt);
    }

    private function range(Clause $clause, ModelFigure $figure, ?float $min, ?float $max): null
    {
        if ($this->area === null && $this->inForce->matchesModel($this->sculpt)) {
            $this->asked[] = new ModelRequirement($figure, $this->inForce->reasons, $clause->severity, $min, $max);
        }

        return null;
    }
}
