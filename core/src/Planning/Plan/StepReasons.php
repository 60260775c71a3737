<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conformance;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\WellKnown;

/**
 * Why a technique is in the plan: the clauses it helps to meet, the base rule, tidying, the method, or what another
 * chosen technique needs.
 */
final readonly class StepReasons
{
    public function __construct(private PlanContext $context)
    {
    }

    /**
     * @param  list<ChosenTechnique>  $all  of the same area
     * @return list<Reason>
     */
    public function of(PlannedArea $planned, ChosenTechnique $used, array $all): array
    {
        $method = $this->context->method;
        $because = $this->own($planned, $used, $all);
        foreach ($all as $other) {
            $area = $planned->demand->area;
            $isOther = $area !== null && $other->technique->key !== $used->technique->key;
            $needs = $isOther ? $method->needs($other->technique, $area) : [];
            foreach ($needs as $effect) {
                if ($used->technique->givesAny($effect) && ! in_array($effect, $this->context->given, true)) {
                    array_push($because, ...$this->own($planned, $other, $all));
                    $school = $method->permits($used->technique);
                    $because = $school === null ? $because : [...$because, Reason::method($school)];
                }
            }
        }

        return Reason::unique($because);
    }

    /**
     * @param  list<ChosenTechnique>  $all
     * @return list<Reason>
     */
    private function own(PlannedArea $planned, ChosenTechnique $used, array $all): array
    {
        $because = [];
        $technique = $used->technique;
        foreach ($planned->demand->requirements as $requirement) {
            if ($requirement->isHelpedBy($used, $all)) {
                array_push($because, ...$requirement->reasons);
            }
        }
        $area = $planned->demand->area;
        if ($area !== null && $technique->has(Effect::BaseColour)) {
            $because[] = Reason::base();
        }
        $tidies =
            $technique->key === WellKnown::TIDY ||
            ($technique->key === WellKnown::LAYER && $used->extent === Extent::Full);
        $isDirty = array_filter($all, fn (ChosenTechnique $u) => $u->technique->tidied) !== [];
        if ($tidies && ($isDirty || Conformance::washesUnderLight($all, $this->context->request->tier->pace))) {
            $because[] = Reason::tidying();
        }
        $school = $area === null ? null : $this->context->method->adds($area)[$technique->key] ?? null;

        return $school === null ? $because : [...$because, Reason::method($school)];
    }
}
