<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/** Chooses what is done once on the whole model: preparation, undercoat, joining, varnish, the final look. */
final readonly class WholeModelPlanner
{
    /** At this bar no technique is too rough. */
    private const NO_BAR = 1;

    public function __construct(private PlanContext $context, private AreaSolver $solver)
    {
    }

    public function plan(AreaDemand $demand): PlannedArea
    {
        $demand = $this->withJoints($this->withMethodsUndercoat($demand));
        $request = $this->context->request;
        $required = array_map(fn (TechniqueRequirement $r) => $r->technique, $demand->of(TechniqueRequirement::class));
        $parts = max(1, count($request->sculpt->keptApart()));
        $candidates = [];
        foreach ($request->standard->techniques as $index => $technique) {
            if (
                $technique->whole &&
                $technique->key !== WellKnown::MASKING &&
                $this->isUsable($technique, $demand, $required)
            ) {
                $times = $technique->key === WellKnown::JOIN_PARTS ? $parts : 1;
                $candidates[] = Candidate::onModel(
                    $technique,
                    $index,
                    $request->sculpt,
                    $request->tier->pace,
                    $times,
                    $demand->minutes[$technique->key] ?? null,
                );
            }
        }
        $problem = new AreaProblem($candidates, $demand->requirements, false, $request->tier->pace, []);

        return (new AreaPlanner($this->context, $this->solver))->solve($demand, $problem, self::NO_BAR);
    }

    /** @param  list<string>  $required  keys of techniques */
    private function isUsable(Technique $technique, AreaDemand $demand, array $required): bool
    {
        $method = $this->context->method;
        $prime = $method->prime();
        $isRequired = in_array($technique->key, $required, true);
        $sketches = $technique->has(Effect::Value) && $method->given() === [Effect::Value];

        return match (true) {
            $technique->family === Family::Prepare, $technique->key === WellKnown::VALUE_WASH => $isRequired,
            $technique->has(Effect::Undercoat) && $prime !== null => $technique->key === $prime,
            $sketches => $method->sprays() || $technique->setup <= 1,
            default => isset($demand->allowed[$technique->key]) || $isRequired,
        };
    }

    /** A value sketch or a value wash is asked for by the method, not by a clause. */
    private function withMethodsUndercoat(AreaDemand $demand): AreaDemand
    {
        $hasWash = $this->context->request->standard->hasTechnique(WellKnown::VALUE_WASH);
        if ($this->context->request->method->valueWash && $hasWash) {
            $why = [Reason::method(School::Undercoat)];
            $wash = new TechniqueRequirement(null, $why, null, WellKnown::VALUE_WASH, Extent::Full, 1);

            return $demand->asking(...[...$demand->asked, $wash]);
        }
        if ($this->context->method->given() !== [Effect::Value]) {
            return $demand;
        }
        $why = [Reason::method(School::Undercoat)];

        return $demand->asking(
            ...[...$demand->asked, new EffectRequirement(null, $why, null, [Effect::Value], Extent::Full, 1, null)],
        );
    }

    /** What is kept apart is joined: parts of the sculpt, and the ground where the method keeps it apart. */
    private function withJoints(AreaDemand $demand): AreaDemand
    {
        $standard = $this->context->request->standard;
        $joints = [];
        if ($this->context->request->sculpt->keptApart() !== []) {
            $joints[WellKnown::JOIN_PARTS] = Reason::parts();
        }
        if ($this->context->method->keepsGroundApart()) {
            $joints[WellKnown::JOIN_BASE] = Reason::method(School::Ground);
        }
        $asked = $demand->asked;
        foreach ($joints as $key => $why) {
            if ($standard->hasTechnique($key) && $standard->technique($key)->whole) {
                $asked[] = new TechniqueRequirement(null, [$why], null, $key, Extent::Full, 1);
            }
        }

        return $asked === $demand->asked ? $demand : $demand->asking(...$asked);
    }
}
