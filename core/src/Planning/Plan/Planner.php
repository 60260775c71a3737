<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Family;

/**
 * Plans one piece: which techniques on which areas meet the tier in the least hand time, in an order that works, with
 * the reason for each. What was solved is remembered by the solver it is given, so that a change solves only the areas
 * it touches.
 */
final readonly class Planner
{
    /** Spare minutes below this buy nothing: extras are reckoned in half minutes. */
    private const LEAST_SPARE = 0.5;

    public function __construct(private AreaSolver $solver = new AreaSolver())
    {
    }

    /** @throws \Ordotype\Core\Foundation\FormatException when an amendment does not fit the tier */
    public function plan(PlanRequest $request): Plan
    {
        $plan = $this->lay($this->choose($request));

        return $request->tier->aim === Aim::Best ? $this->best($plan) : $plan;
    }

    /** The plan of the same tier with the other aim, to be shown beside it. */
    public function withAim(PlanRequest $request, Aim $aim): Plan
    {
        return $this->plan($request->at($request->tier->aimingAt($aim)));
    }

    /**
     * Only what is done on each area and on the whole model in least time, without order, colours and report.
     *
     * @param  ChosenWork|null  $full  what was chosen for the same piece with areas that are lacking now, where known
     *
     * @throws \Ordotype\Core\Foundation\FormatException when an amendment does not fit the tier
     */
    public function choose(PlanRequest $request, ?ChosenWork $full = null): ChosenWork
    {
        $context = PlanContext::of($request);
        $demands = $context->demands();
        $whole = (new WholeModelPlanner($context, $this->solver))->plan($demands->ofModel());
        $context = $context->under($whole);
        $known = $full?->waysOn($context);
        $areas = new AreaPlanner($context, $this->solver);
        $asked =
            $known === null
                ? array_map(fn (Area $area): AreaDemand => $areas->demand($demands, $area), $request->sculpt->areas)
                : array_map(fn (PlannedArea $p): AreaDemand => $p->demand, $known->byBrush);

        return (new SprayedColours($context, $this->solver))->plan($asked, $whole, $known);
    }

    /** What is asked of each area and with what it could be met by brush alone, before anything is chosen. */
    public function asks(PlanRequest $request): AskedWork
    {
        $context = PlanContext::of($request);
        $demands = $context->demands();
        $whole = (new WholeModelPlanner($context, $this->solver))->plan($demands->ofModel());
        $planner = new AreaPlanner($context->under($whole), $this->solver);
        $byBrush = fn (Candidate $c): bool => $c->technique->family !== Family::Spray;

        return new AskedWork(
            array_map(function (Area $area) use ($planner, $demands, $byBrush): AskedArea {
                $demand = $planner->demand($demands, $area);

                return new AskedArea($demand, $planner->problem($demand, false)->filtered($byBrush));
            }, $request->sculpt->areas),
            $whole,
        );
    }

    /**
     * The plan that a choice made by hand gives: nothing is refused, but the report changes.
     *
     * @param  array<string, Choice>  $byHand  by area key; areas that are not named stay as they were
     */
    public function withEdits(Plan $plan, array $byHand): Plan
    {
        return $this->lay($plan->chosen()->changed($byHand));
    }

    /** @param  list<Extra>  $extras */
    public function withExtras(Plan $plan, array $extras): Plan
    {
        $edited = [];
        foreach ($extras as $extra) {
            $key = $extra->area->key;
            $used = $edited[$key]->techniques ?? ($plan->area($key)->choice->techniques ?? []);
            $used[] = $extra->use;
            usort($used, fn (ChosenTechnique $a, ChosenTechnique $b) => $a->index <=> $b->index);
            $edited[$key] = new Choice($used);
        }

        return $edited === [] ? $plan : $this->withEdits($plan, $edited);
    }

    /**
     * What is done on a piece, chosen but in no order yet.
     *
     * @param  array<string, Choice>  $byHand  by area key
     * @param  Draft|null  $full  of a piece that is the same but lacks nothing
     */
    public function draft(PlanRequest $request, array $byHand, ?Draft $full = null): Draft
    {
        $chosen =
            $request->tier->aim === Aim::Best
                ? $this->plan($request)->chosen()
                : $this->choose($request, $full?->chosen);
        $chosen = $chosen->changed($byHand);

        return (new StepList($chosen->context, self::colours($request)))->draft($chosen);
    }

    /**
     * A draft as a plan, its steps in the order that other work lays down, as far as that names them.
     *
     * @param  bool  $isItsOwn  whether that work is all of this draft's, by its rules, and nothing else
     */
    public function inOrder(Draft $draft, OrderedWork $work, bool $isItsOwn): Plan
    {
        $request = $draft->chosen->context->request;
        $sequence = array_map(fn (Step $s) => $s->paintedKey(), $work->steps);
        $arranged = $draft->chosen->for($request->arranged($request->arrangement->inSequence($sequence)));
        $own = $isItsOwn ? $work : (new WorkOrder($arranged->context))->layBy($draft->steps, $draft->rules);

        return $this->report($arranged, $own, self::colours($request));
    }

    /**
     * The least-time plan with the most notice that its minutes ceiling leaves room for. Without a ceiling the
     * quickest
     * plan is the best there is; what the client would have to ask for is not given away.
     */
    private function best(Plan $plan): Plan
    {
        $ceiling = $plan->whole->demand->ofModel(ModelFigure::Minutes)?->max;
        $spare = $ceiling === null ? 0.0 : $ceiling - $plan->minutesByPasses();
        // What extras stray onto is known only with their order: what that takes is spent no more.
        while ($spare >= self::LEAST_SPARE && $plan->conflicts() === []) {
            $best = $this->withExtras($plan, (new SpareMinutes($plan))->buy($spare, onRequest: false));
            $over = $best->minutesByPasses() - (float) $ceiling;
            if ($over <= AreaProblem::TIE) {
                return $best;
            }
            $spare -= max($over, self::LEAST_SPARE);
        }

        return $plan;
    }

    private function lay(ChosenWork $chosen): Plan
    {
        $colours = self::colours($chosen->context->request);

        $draft = (new StepList($chosen->context, $colours))->draft($chosen);

        return $this->report(
            $chosen,
            (new WorkOrder($chosen->context))->layBy($draft->steps, $draft->rules),
            $colours,
        );
    }

    /** A plan with all that is to be said of it. */
    private function report(ChosenWork $chosen, OrderedWork $work, StepColours $colours): Plan
    {
        $request = $chosen->context->request;

        return new Plan(
            $request,
            $chosen->areas,
            $chosen->whole,
            $chosen->sprayed,
            $work,
            (new PlanStates($chosen))->of($work),
            (new Surplus($chosen))->of($work->steps),
            [
                ...(new PlanWarnings($chosen))->all(),
                ...$colours->warnings(),
                ...(new DoubtfulSteps($request))->warnings($work->steps),
                ...array_map(fn ($cycle) => new Warning(WarningKind::OrderCircle, cycle: $cycle), $work->cycles),
            ],
        );
    }

    private static function colours(PlanRequest $request): StepColours
    {
        return new StepColours($request->scheme, $request->shelf, $request->method, $request->sculpt);
    }
}
