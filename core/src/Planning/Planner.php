<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Choice\AreaProblem;
use Ordotype\Core\Choice\AreaSolver;
use Ordotype\Core\Choice\Candidate;
use Ordotype\Core\Choice\Choice;
use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Choice\ConflictFinder;
use Ordotype\Core\Choice\Conformance;
use Ordotype\Core\Choice\RequirementState;
use Ordotype\Core\Choice\Subsets;
use Ordotype\Core\Demand\AreaDemand;
use Ordotype\Core\Demand\ClausesInForce;
use Ordotype\Core\Demand\DemandResolver;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Method\Method;
use Ordotype\Core\Method\MethodOnModel;
use Ordotype\Core\Method\School;
use Ordotype\Core\Outlook\RaisedArea;
use Ordotype\Core\Outlook\SprayOrBrush;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sequencing\Cycle;
use Ordotype\Core\Sequencing\OrderedWork;
use Ordotype\Core\Sequencing\OrderRules;
use Ordotype\Core\Sequencing\PassScheduler;
use Ordotype\Core\Sequencing\Phase;
use Ordotype\Core\Sequencing\PrecedenceGraph;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Sequencing\StepColour;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/**
 * Plans one piece: which techniques on which areas meet the tier in the least hand time, in an order that works, with
 * the reason for each.
 */
final class Planner
{
    private AreaSolver $solver;

    private MethodOnModel $method;

    /** @var list<Effect> what undercoat and whole techniques give every area */
    private array $given = [];

    private function __construct(private readonly PlanRequest $request)
    {
        $this->solver = new AreaSolver();
        $this->method = new MethodOnModel($request->method, $request->sculpt, $request->scheme, $request->shelf);
    }

    /**
     * @throws \Ordotype\Core\Problem\FormatException when an amendment does not fit the tier
     */
    public static function plan(PlanRequest $request): Plan
    {
        [$planner, $areas, $whole, $sprayed] = self::chosen($request);
        $plan = $planner->lay($areas, $whole, $sprayed);

        return $request->tier->aim === Aim::Best ? self::best($plan) : $plan;
    }

    /** The plan of the same tier with the other aim, to be shown beside it. */
    public static function withAim(PlanRequest $request, Aim $aim): Plan
    {
        return self::plan($request->at($request->tier->aimingAt($aim)));
    }

    /**
     * The least-time plan with the most notice that its minutes ceiling leaves room for. Without a ceiling the
     * quickest
     * plan is the best there is; what the client would have to ask for is not given away.
     */
    private static function best(Plan $plan): Plan
    {
        $ceiling = $plan->whole->demand->first(RequirementKind::Minutes)?->max;
        $spare = $ceiling === null ? 0.0 : $ceiling - $plan->minutesByPasses();
        if ($spare < 0.5 || $plan->conflicts() !== []) {
            return $plan;
        }

        return self::withExtras($plan, (new SpareMinutes($plan))->buy($spare, onRequest: false));
    }

    /** @param  list<Extra>  $extras */
    public static function withExtras(Plan $plan, array $extras): Plan
    {
        $edited = [];
        foreach ($extras as $extra) {
            $key = $extra->area->key;
            $used =
                $edited[$key]->techniques ??
                ($plan->areas[$plan->request->sculpt->place($key)]->choice->techniques ?? []);
            $used[] = $extra->use;
            usort($used, fn (ChosenTechnique $a, ChosenTechnique $b) => $a->index <=> $b->index);
            $edited[$key] = new Choice($used);
        }

        return $edited === [] ? $plan : self::withEdits($plan, $edited);
    }

    /**
     * Only the techniques of each area, without order, colours and report.
     *
     * @return list<PlannedArea> in the sculpt's order
     */
    public static function choose(PlanRequest $request): array
    {
        return self::chosen($request)[1];
    }

    /**
     * What is asked of each area and with what it could be met by brush alone, before anything is chosen.
     *
     * @return array{list<array{AreaDemand, AreaProblem}>, PlannedArea} by area in the sculpt's order, and the
     *     whole model
     */
    public static function problems(PlanRequest $request): array
    {
        $planner = new self($request);
        $resolver = new DemandResolver(
            $request->standard,
            ClausesInForce::of($request->standard, $request->tier, $request->amendments),
            $request->sculpt,
        );
        $whole = $planner->planWhole($resolver->ofModel());
        $planner->takeGiven($whole);
        $problems = [];
        foreach ($request->sculpt->areas as $area) {
            $demand = $planner->method->simpler($resolver->ofArea($area));
            $problems[] = [
                $demand,
                $planner
                    ->problem($demand, false)
                    ->filtered(fn (Candidate $c) => $c->technique->family !== Family::Spray),
            ];
        }

        return [$problems, $whole];
    }

    /**
     * The plan that a choice made by hand gives: nothing is refused, but the report changes.
     *
     * @param  array<string, Choice>  $edited  by area key; areas that are not named stay as they were
     */
    public static function withEdits(Plan $plan, array $edited): Plan
    {
        $planner = new self($plan->request);
        $planner->takeGiven($plan->whole);

        return $planner->lay(self::edited($plan->areas, $edited), $plan->whole, $plan->sprayed);
    }

    /**
     * @param  list<PlannedArea>  $areas
     * @param  array<string, Choice>  $edited
     * @return list<PlannedArea>
     */
    private static function edited(array $areas, array $edited): array
    {
        return array_map(
            fn (PlannedArea $a) => isset($edited[(string) $a->demand->area?->key])
                ? new PlannedArea(
                    $a->demand,
                    $edited[(string) $a->demand->area?->key],
                    $a->gradeBar,
                    $a->relaxed,
                    null,
                )
                : $a,
            $areas,
        );
    }

    /**
     * For each colour that could be sprayed: its minutes by airbrush and by brush over the unit, with their parts.
     * What
     * is sprayed in the plan and touches it is masked, so much as the plan sprays before it.
     *
     * @return list<SprayOrBrush> the largest first
     */
    public static function sprayOrBrush(PlanRequest $request): array
    {
        [$planner, , $whole, $sprayed] = self::chosen($request);
        if (! $request->standard->hasTechnique(WellKnown::SPRAY)) {
            return [];
        }
        $spray = $request->standard->technique(WellKnown::SPRAY);
        $resolver = new DemandResolver(
            $request->standard,
            ClausesInForce::of($request->standard, $request->tier, $request->amendments),
            $request->sculpt,
        );
        // What it would take is asked whether the method sprays or not.
        $planner->method = new MethodOnModel(
            $request->method->without(School::Spraying),
            $request->sculpt,
            $request->scheme,
            $request->shelf,
        );
        $planner->takeGiven($whole);
        $options = [];
        foreach ($request->sculpt->areas as $area) {
            if ($area->rank !== Rank::Ground && DemandResolver::fits($spray, $area)) {
                $demand = $planner->method->simpler($resolver->ofArea($area));
                $problem = $planner->problem($demand, true);
                $pair = [
                    $planner->solve($demand, $problem->without(WellKnown::SPRAY)),
                    $planner->solve($demand, $problem->withBase(WellKnown::SPRAY)),
                ];
                if ($pair[0]->choice !== null && $pair[1]->choice !== null) {
                    $options[$area->key] = $pair;
                }
            }
        }
        $masking = $request->standard->hasTechnique(WellKnown::MASKING)
            ? $request->standard->technique(WellKnown::MASKING)
            : null;

        return (new SprayPlanner($request, $planner->method->benchSculpt()))->compare(
            $options,
            $sprayed,
            $spray,
            $masking,
        );
    }

    /** @return array{self, list<PlannedArea>, PlannedArea, list<SprayedColour>} */
    private static function chosen(PlanRequest $request): array
    {
        $planner = new self($request);
        $resolver = new DemandResolver(
            $request->standard,
            ClausesInForce::of($request->standard, $request->tier, $request->amendments),
            $request->sculpt,
        );
        $whole = $planner->planWhole($resolver->ofModel());
        $planner->takeGiven($whole);
        $demands = array_map(
            fn (Area $area) => $planner->method->simpler($resolver->ofArea($area)),
            $request->sculpt->areas,
        );
        [$areas, $sprayed] = $planner->planAreas($demands, $whole->demand);

        return [$planner, $areas, $whole, $sprayed];
    }

    private function takeGiven(PlannedArea $whole): void
    {
        $given = $this->method->given();
        foreach ($whole->choice->techniques ?? [] as $used) {
            foreach (array_keys($used->technique->effects) as $effect) {
                $given[] = Effect::from($effect);
            }
        }
        $this->given = $given;
    }

    private function planWhole(AreaDemand $demand): PlannedArea
    {
        $demand = $this->withJoints($this->withMethodsUndercoat($demand));
        $parts = max(1, count($this->request->sculpt->keptApart()));
        $prime = $this->method->prime();
        $required = array_map(fn (Requirement $r) => $r->technique, $demand->of(RequirementKind::Technique));
        $candidates = [];
        foreach ($this->request->standard->techniques as $index => $technique) {
            if (! $technique->whole || $technique->key === WellKnown::MASKING) {
                continue;
            }
            $isPrime = $technique->givesAny(Effect::Undercoat);
            $usable = match (true) {
                $technique->family === Family::Prepare => in_array($technique->key, $required, true),
                $isPrime && $prime !== null => $technique->key === $prime,
                $technique->givesAny(Effect::Value) && $this->method->given() === [Effect::Value] => $this->method->sprays() || $technique->setup <= 1,
                default => isset($demand->allowed[$technique->key]) || in_array($technique->key, $required, true),
            };
            if ($usable) {
                $candidates[] = Candidate::onModel(
                    $technique,
                    $index,
                    $this->request->sculpt,
                    $this->request->tier->pace,
                    $technique->key === WellKnown::JOIN_PARTS ? $parts : 1,
                );
            }
        }

        return $this->solve(
            $demand,
            new AreaProblem($candidates, $demand->requirements, false, $this->request->tier->pace, []),
            1,
        );
    }

    /** A value sketch is asked for by the method, not by a clause. */
    private function withMethodsUndercoat(AreaDemand $demand): AreaDemand
    {
        if ($this->method->given() !== [Effect::Value]) {
            return $demand;
        }

        return $demand->asking(
            ...[
                ...$demand->asked,
                Requirement::effect(null, ['method.undercoat'], null, [Effect::Value], Extent::Full, 1, null),
            ],
        );
    }

    /** What is kept apart is joined: parts of the sculpt, and the ground where the method keeps it apart. */
    private function withJoints(AreaDemand $demand): AreaDemand
    {
        $joints = [];
        if ($this->request->sculpt->keptApart() !== []) {
            $joints[WellKnown::JOIN_PARTS] = 'parts';
        }
        if ($this->method->keepsGroundApart()) {
            $joints[WellKnown::JOIN_BASE] = 'method.'.School::Ground->value;
        }
        $asked = $demand->asked;
        foreach ($joints as $key => $because) {
            if ($this->request->standard->hasTechnique($key) && $this->request->standard->technique($key)->whole) {
                $asked[] = Requirement::technique(null, [$because], null, $key, Extent::Full, 1);
            }
        }

        return $asked === $demand->asked ? $demand : $demand->asking(...$asked);
    }

    /**
     * @param  list<AreaDemand>  $demands
     * @return array{list<PlannedArea>, list<SprayedColour>}
     */
    private function planAreas(array $demands, AreaDemand $model): array
    {
        $colours = $model->first(RequirementKind::SprayedColours);
        $spray =
            $colours !== null && $this->request->standard->hasTechnique(WellKnown::SPRAY)
                ? $this->request->standard->technique(WellKnown::SPRAY)
                : null;
        $problems = [];
        $byBrush = [];
        foreach ($demands as $i => $demand) {
            $problem = $this->problem($demand, $spray !== null && $this->method->sprays());
            $problems[$i] = $problem;
            $byBrush[$i] = $this->solve($demand, $spray === null ? $problem : $problem->without(WellKnown::SPRAY));
        }
        if ($spray === null || ! $this->method->sprays()) {
            return [array_values($byBrush), []];
        }

        $options = [];
        foreach ($demands as $i => $demand) {
            $area = $demand->area;
            if ($area !== null && $area->rank !== Rank::Ground && DemandResolver::fits($spray, $area)) {
                $with = $this->solve($demand, $problems[$i]->withBase(WellKnown::SPRAY));
                if ($with->choice !== null) {
                    $options[$area->key] = [$byBrush[$i], $with];
                }
            }
        }
        $masking = $this->request->standard->hasTechnique(WellKnown::MASKING)
            ? $this->request->standard->technique(WellKnown::MASKING)
            : null;
        $sprayed = (new SprayPlanner($this->request, $this->method->benchSculpt()))->choose(
            $options,
            (int) $colours->min,
            $colours->max === null ? null : (int) $colours->max,
            $spray,
            $masking,
        );
        foreach ($sprayed as $colour) {
            foreach ($colour->areas as $area) {
                $byBrush[$this->request->sculpt->place($area->key)] = $options[$area->key][1];
            }
        }

        return [array_values($byBrush), $sprayed];
    }

    private function problem(AreaDemand $demand, bool $mayBeSprayed): AreaProblem
    {
        $area = $demand->area;
        assert($area !== null);
        $adds = $this->method->adds($area);
        $candidates = [];
        $requirements = $demand->requirements;
        foreach ($this->request->standard->techniques as $index => $technique) {
            if (! DemandResolver::fits($technique, $area)) {
                continue;
            }
            $added = isset($adds[$technique->key]);
            $usable =
                isset($demand->allowed[$technique->key]) ||
                $added ||
                $this->method->permits($technique) !== null ||
                ($mayBeSprayed && $technique->key === WellKnown::SPRAY);
            if (! $usable || $this->method->keepsOff($technique, $area, $demand->allowed) !== null) {
                continue;
            }
            $candidates[] = Candidate::onArea(
                $technique,
                $index,
                $area,
                $this->request->sculpt,
                $this->request->tier->pace,
                $this->method,
            );
            if ($added) {
                $requirements[] = Requirement::technique(
                    $area->key,
                    ['method.'.$adds[$technique->key]->value],
                    null,
                    $technique->key,
                    Extent::Full,
                    1,
                );
            }
        }

        return new AreaProblem(
            $candidates,
            $requirements,
            $area->rank !== Rank::Ground,
            $this->request->tier->pace,
            $this->given,
        );
    }

    /** Solves at the pace's grade bar, lowering it by one until something fits; a conflict where nothing does. */
    private function solve(AreaDemand $demand, AreaProblem $problem, ?int $from = null): PlannedArea
    {
        $wanted = $from ?? $this->request->tier->pace->gradeBar();
        $found =
            $this->solved($demand, $problem, $wanted) ??
            ($demand->area === null ? null : $this->shortByMethod($demand, $problem, $wanted));
        if ($found !== null) {
            return $found;
        }
        $methods = array_slice($problem->requirements, count($demand->requirements));
        $conflict = (new ConflictFinder($this->solver))->find(
            $demand,
            fn (array $asked) => $problem->requiring([...$asked, ...$methods]),
        );

        return new PlannedArea($demand, null, 1, $wanted - 1, $conflict);
    }

    private function solved(AreaDemand $demand, AreaProblem $problem, int $wanted): ?PlannedArea
    {
        $stains = $demand->area === null ? null : $this->method->stains($demand->area, $problem);
        for ($bar = $wanted; $bar >= 1; $bar--) {
            $choice =
                ($stains === null ? null : $this->solver->solve($stains, $bar)) ??
                $this->solver->solve($problem, $bar);
            if ($choice !== null) {
                return new PlannedArea($demand, $choice, $bar, $wanted - $bar, null);
            }
        }

        return null;
    }

    /**
     * Where the tier can be met only without the method: the fewest requirements are left out, then in least minutes,
     * and the school that stands in the way is the reason.
     */
    private function shortByMethod(AreaDemand $demand, AreaProblem $problem, int $wanted): ?PlannedArea
    {
        $area = $demand->area;
        assert($area !== null);
        $school = $this->schoolInTheWay($demand, $area);
        if ($school === null) {
            return null;
        }
        $asked = $demand->requirements;
        $methods = array_slice($problem->requirements, count($asked));
        for ($out = 1; $out <= count($asked); $out++) {
            $best = null;
            foreach (Subsets::of(count($asked), $out) as $left) {
                $kept = array_values(array_diff_key($asked, array_flip($left)));
                $found = $this->solved($demand, $problem->requiring([...$kept, ...$methods]), $wanted);
                if (
                    $found?->choice !== null &&
                    ($best?->choice === null || $found->choice->minutes < $best->choice->minutes - AreaSolver::TIE)
                ) {
                    $best = $found;
                }
            }
            if ($best !== null) {
                return new PlannedArea($demand, $best->choice, $best->gradeBar, $best->relaxed, null, $school);
            }
        }

        return null;
    }

    /**
     * The first school without which the area could be planned; null where the method is not what stands in the way.
     */
    private function schoolInTheWay(AreaDemand $demand, Area $area): ?School
    {
        if ($this->request->method->choices === []) {
            return null;
        }
        $bare = new self($this->request->by(new Method())->amended([]));
        $bare->given = $this->given;
        $without = function (Method $method) use ($bare, $demand): bool {
            $bare->method = new MethodOnModel(
                $method,
                $this->request->sculpt,
                $this->request->scheme,
                $this->request->shelf,
            );

            return $this->solver->canBeMet($bare->problem($demand, false), 1);
        };
        if (! $without(new Method())) {
            return null;
        }
        foreach (School::cases() as $school) {
            $left = array_diff_key($this->request->method->choices, [$school->value => true]);
            if (
                count($left) < count($this->request->method->choices) &&
                $without(new Method($left, $this->request->method->undercoatColour))
            ) {
                return $school;
            }
        }

        return School::cases()[0];
    }

    /**
     * @param  list<PlannedArea>  $areas
     * @param  list<SprayedColour>  $sprayed
     */
    private function lay(array $areas, PlannedArea $whole, array $sprayed): Plan
    {
        $colours = new StepColours(
            $this->request->scheme,
            $this->request->shelf,
            $this->request->method,
            $this->request->sculpt,
        );
        $steps = $this->steps($areas, $whole, $sprayed, $colours);
        $work = $this->layout($steps)->order($this->rules($steps)->edges(), $this->request->arrangement->sequence);

        $given = ['' => []];
        foreach ($areas as $planned) {
            $given[(string) $planned->demand->area?->key] = $this->given;
        }
        $plan = new Plan(
            $this->request,
            $areas,
            $whole,
            $sprayed,
            $work,
            [],
            Conformance::surplus(
                $work->steps,
                $areas,
                $whole,
                $this->request->tier->pace,
                $given,
                $this->request->arrangement->practice,
            ),
            [],
        );

        return new Plan($this->request, $areas, $whole, $sprayed, $work, $this->states($plan), $plan->surplus, [
            ...$this->warnings($areas, $whole),
            ...$colours->warnings(),
            ...(new DoubtfulSteps($this->request))->warnings($work->steps),
            ...array_map($this->cycleWarning(...), $work->cycles),
        ]);
    }

    /**
     * @param  list<PlannedArea>  $areas
     * @param  list<SprayedColour>  $sprayed
     * @return list<Step> in no order yet
     */
    private function steps(array $areas, PlannedArea $whole, array $sprayed, StepColours $colours): array
    {
        $steps = $this->wholeSteps($whole, $sprayed);
        foreach ($areas as $planned) {
            array_push($steps, ...$this->areaSteps($planned, $colours));
        }

        return $this->painted([...$steps, ...$this->jointSteps($areas, $whole, $colours)]);
    }

    /** @param  list<Step>  $steps */
    private function layout(array $steps): PassScheduler
    {
        return new PassScheduler($steps, $this->method->benchSculpt(), $this->request->pieces);
    }

    /** @param  list<Step>  $steps */
    private function rules(array $steps): OrderRules
    {
        return new OrderRules(
            $steps,
            $this->method->benchSculpt(),
            $this->request->method,
            $this->request->arrangement->overrules,
        );
    }

    /**
     * The rules between the steps of a plan, by their places in its order of work.
     */
    public static function rulesOf(Plan $plan): PrecedenceGraph
    {
        return (new self($plan->request))->rules($plan->work->steps)->edges();
    }

    /**
     * The same plan with its order laid out in stages: what belongs to a lower one is done first.
     *
     * @param  list<int>  $stages  for each step of the plan's order of work
     */
    public static function inStages(Plan $plan, array $stages): OrderedWork
    {
        $planner = new self($plan->request);
        $steps = $plan->work->steps;

        return $planner->layout($steps)->order($planner->rules($steps)->edges(), stages: $stages);
    }

    /**
     * One order of work for steps of several plans of one model: what each piece does not need is left out on it.
     *
     * @param  list<Step>  $steps
     */
    public static function orderOf(PlanRequest $request, array $steps): OrderedWork
    {
        $planner = new self($request);

        return $planner->layout($steps)->order($planner->rules($steps)->edges(), $request->arrangement->sequence);
    }

    /**
     * What is done on a piece, chosen but in no order yet.
     *
     * @param  array<string, Choice>  $edited  by area key, chosen by hand
     */
    public static function draft(PlanRequest $request, array $edited): Draft
    {
        if ($request->tier->aim === Aim::Best) {
            $plan = self::plan($request);
            [$areas, $whole, $sprayed] = [$plan->areas, $plan->whole, $plan->sprayed];
        } else {
            [, $areas, $whole, $sprayed] = self::chosen($request);
        }
        $planner = new self($request);
        $planner->takeGiven($whole);
        $areas = self::edited($areas, $edited);

        return new Draft(
            $request,
            $areas,
            $whole,
            $sprayed,
            $planner->steps(
                $areas,
                $whole,
                $sprayed,
                new StepColours($request->scheme, $request->shelf, $request->method, $request->sculpt),
            ),
        );
    }

    /** A draft as a plan, its steps in the order that other work lays down, as far as that names them. */
    public static function inOrder(Draft $draft, OrderedWork $work): Plan
    {
        $request = $draft->request;
        $planner = new self(
            $request->arranged(
                new Arrangement(
                    $request->arrangement->overrules,
                    array_map(fn (Step $s) => $s->paintedKey(), $work->steps),
                    $request->arrangement->paints,
                    $request->arrangement->practice,
                ),
            ),
        );
        $planner->takeGiven($draft->whole);

        return $planner->lay($draft->areas, $draft->whole, $draft->sprayed);
    }

    /**
     * The steps that raise what is done: passes of one technique are numbered on after those that are there.
     *
     * @param  list<RaisedArea>  $areas
     * @param  list<ChosenTechnique>  $whole
     * @param  list<ChosenTechnique>  $wholeDone
     * @return list<Step>
     */
    public static function addedSteps(PlanRequest $request, array $areas, array $whole, array $wholeDone): array
    {
        $planner = new self($request);
        $colours = new StepColours($request->scheme, $request->shelf, $request->method, $request->sculpt);
        $once = array_fill_keys(array_map(fn (ChosenTechnique $u) => $u->technique->key, $wholeDone), true);
        $steps = array_map(
            fn (Step $s) => isset($once[$s->technique->key]) ? $s->numbered(2) : $s,
            $planner->wholeSteps(
                new PlannedArea(new AreaDemand(null, [], [], []), new Choice($whole), 1, 0, null),
                [],
            ),
        );
        foreach ($areas as $raised) {
            $kept = [];
            foreach ([...$raised->kept, ...$raised->lost] as $used) {
                $kept[$used->technique->key] = ($kept[$used->technique->key] ?? 0) + $used->passes;
            }
            // Colours follow from all that is on the area when it is done; only what is added is given back.
            $all = $planner->areaSteps(
                new PlannedArea(
                    $raised->demand,
                    new Choice([...$raised->kept, ...$raised->added]),
                    $raised->gradeBar,
                    0,
                    $raised->conflict,
                ),
                $colours,
            );
            $there = [];
            foreach ($raised->kept as $used) {
                $there[$used->technique->key] = ($there[$used->technique->key] ?? 0) + $used->passes;
            }
            $seen = [];
            foreach ($all as $step) {
                $key = $step->technique->key;
                $seen[$key] = ($seen[$key] ?? 0) + 1;
                if ($seen[$key] > ($there[$key] ?? 0)) {
                    $steps[] = $step->numbered($seen[$key] - ($there[$key] ?? 0) + ($kept[$key] ?? 0));
                }
            }
        }

        return $steps;
    }

    /**
     * Steps with the paints that the lead has given single ones.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function painted(array $steps): array
    {
        return array_map(function (Step $step): Step {
            $paint = $this->request->arrangement->paints[$step->key()] ?? null;

            return $paint === null
                ? $step
                : $step->coloured(new StepColour($paint, null, $this->request->shelf->colourOf($paint)));
        }, $steps);
    }

    /**
     * The joints are tidied after joining: a spot of the base colour, for each kept-apart part on its first area that
     * touches something outside it.
     *
     * @param  list<PlannedArea>  $areas
     * @return list<Step>
     */
    private function jointSteps(array $areas, PlannedArea $whole, StepColours $colours): array
    {
        if (
            $whole->choice?->uses(WellKnown::JOIN_PARTS) !== true ||
            ! $this->request->standard->hasTechnique(WellKnown::TIDY)
        ) {
            return [];
        }
        $tidy = $this->request->standard->technique(WellKnown::TIDY);
        $steps = [];
        foreach ($areas as $planned) {
            $area = $planned->demand->area;
            if (
                $area === null ||
                $area->part === null ||
                isset($steps[$area->part]) ||
                $planned->choice === null ||
                ! DemandResolver::fits($tidy, $area) ||
                array_filter(
                    $area->touches,
                    fn (string $other) => $this->request->sculpt->has($other) &&
                        $this->request->sculpt->area($other)->part !== $area->part,
                ) === []
            ) {
                continue;
            }
            $minutes = Candidate::onArea(
                $tidy,
                $this->indexOf($tidy),
                $area,
                $this->request->sculpt,
                $this->request->tier->pace,
                $this->method,
            )->minutes[Extent::Spot->value];
            $step = new Step(
                $area,
                $tidy,
                $this->indexOf($tidy),
                1,
                Extent::Spot,
                $minutes,
                0.0,
                ['parts'],
                phase: Phase::JointTidy,
            );
            $steps[$area->part] = $colours->colour($area, [$step])[0];
        }

        return array_values($steps);
    }

    /**
     * @param  list<SprayedColour>  $sprayed
     * @return list<Step>
     */
    private function wholeSteps(PlannedArea $whole, array $sprayed): array
    {
        $steps = [];
        foreach ($whole->choice->techniques ?? [] as $used) {
            $colour =
                $used->technique->givesAny(Effect::Undercoat) && $this->request->method->undercoatColour !== null
                    ? new StepColour(
                        $this->request->method->undercoatColour,
                        null,
                        $this->request->shelf->colourOf($this->request->method->undercoatColour),
                    )
                    : null;
            $because = $this->reasons($whole, $used, []);
            if ($used->technique->key === $this->method->prime()) {
                $because[] = 'method.'.School::Spraying->value;
            }
            $steps[] = new Step(
                null,
                $used->technique,
                $used->index,
                1,
                Extent::Full,
                $used->minutesAPass,
                0.0,
                $because,
                $colour,
            );
        }
        foreach ($sprayed as $colour) {
            if ($colour->masked === []) {
                continue;
            }
            $masking = $this->request->standard->technique(WellKnown::MASKING);
            $steps[] = new Step(
                null,
                $masking,
                $this->indexOf($masking),
                1,
                Extent::Full,
                $colour->maskingMinutes,
                0.0,
                $this->sprayClauses($whole->demand),
                null,
                array_map(fn (Area $a) => $a->key, $colour->areas),
                array_map(fn (Area $a) => $a->key, $colour->masked),
            );
        }

        return $steps;
    }

    /** @return list<Step> */
    private function areaSteps(PlannedArea $planned, StepColours $colours): array
    {
        $area = $planned->demand->area;
        if ($area === null || $planned->choice === null) {
            return [];
        }
        $pace = $this->request->tier->pace->timeFactor();
        $steps = [];
        foreach ($planned->choice->techniques as $used) {
            $because = $this->reasons($planned, $used, $planned->choice->techniques);
            $handling = min($used->minutesAPass, $used->technique->handling * $area->access * $pace);
            for ($pass = 1; $pass <= $used->passes; $pass++) {
                $steps[] = new Step(
                    $area,
                    $used->technique,
                    $used->index,
                    $pass,
                    $used->extent,
                    $used->minutesAPass,
                    $handling,
                    $because,
                );
            }
        }
        usort(
            $steps,
            fn (Step $a, Step $b) => [$a->phase->rank($a->technique), $a->catalogue, $a->pass] <=> [
                $b->phase->rank($b->technique),
                $b->catalogue,
                $b->pass,
            ],
        );

        return $colours->colour($area, $steps);
    }

    /**
     * Why a technique is in the plan: the clauses it helps to meet, the base rule, tidying, the method, or what
     * another
     * chosen technique needs.
     *
     * @param  list<ChosenTechnique>  $all
     * @return list<string>
     */
    private function reasons(PlannedArea $planned, ChosenTechnique $used, array $all): array
    {
        $because = $this->ownReasons($planned, $used, $all);
        foreach ($all as $other) {
            foreach (
                $other->technique->key === $used->technique->key ? [] : $this->method->needs($other->technique) as $effect
            ) {
                if ($used->technique->givesAny($effect) && ! in_array($effect, $this->given, true)) {
                    array_push($because, ...$this->ownReasons($planned, $other, $all));
                    $school = $this->method->permits($used->technique);
                    if ($school !== null) {
                        $because[] = 'method.'.$school->value;
                    }
                }
            }
        }

        return array_values(array_unique($because));
    }

    /**
     * @param  list<ChosenTechnique>  $all
     * @return list<string>
     */
    private function ownReasons(PlannedArea $planned, ChosenTechnique $used, array $all): array
    {
        $because = [];
        $technique = $used->technique;
        foreach ($planned->demand->requirements as $requirement) {
            $counts = match ($requirement->kind) {
                RequirementKind::Effect => Conformance::serves($requirement, $used),
                RequirementKind::Technique => $technique->key === $requirement->technique,
                RequirementKind::Steps => $used->credit() > 0 &&
                    array_sum(array_map(fn (ChosenTechnique $u) => $u->credit(), $all)) - $technique->credit <
                        ($requirement->min ?? 0),
                default => false,
            };
            if ($counts) {
                array_push($because, ...$requirement->clauses);
            }
        }
        if ($planned->demand->area !== null && $technique->givesAny(Effect::BaseColour)) {
            $because[] = 'base';
        }
        $tidies =
            $technique->key === WellKnown::TIDY ||
            ($technique->key === WellKnown::LAYER && $used->extent === Extent::Full);
        if ($tidies && (Conformance::washesUnderLight($all, $this->request->tier->pace) || $this->anyTidied($all))) {
            $because[] = 'tidy';
        }
        $area = $planned->demand->area;
        if ($area !== null && isset($this->method->adds($area)[$technique->key])) {
            $because[] = 'method.'.$this->method->adds($area)[$technique->key]->value;
        }

        return $because;
    }

    /** @param  list<ChosenTechnique>  $all */
    private function anyTidied(array $all): bool
    {
        return array_filter($all, fn (ChosenTechnique $u) => $u->technique->tidied) !== [];
    }

    /** @return list<RequirementState> */
    private function states(Plan $plan): array
    {
        $states = [];
        foreach ($plan->areas as $planned) {
            array_push($states, ...$this->statesOf($planned));
        }
        foreach ($this->statesOf($plan->whole) as $state) {
            $requirement = $state->requirement;
            $states[] = match ($requirement->kind) {
                RequirementKind::Minutes => self::within($requirement, $plan->minutesByPasses(), null),
                RequirementKind::SprayedColours => self::within(
                    $requirement,
                    count($plan->sprayed),
                    $this->method->sprays() ? null : 'method.'.School::Spraying->value,
                ),
                default => $state,
            };
        }

        return $states;
    }

    /** @return list<RequirementState> */
    private function statesOf(PlannedArea $planned): array
    {
        $blamed = $planned->conflict === null ? [] : $planned->conflict->clauses;

        $why = $planned->shortBecause === null ? null : 'method.'.$planned->shortBecause->value;

        return array_map(
            fn (RequirementState $s) => $why !== null && $s->state === 'short'
                ? new RequirementState($s->requirement, 'short', $s->by, $why)
                : $s,
            array_map(
                fn (RequirementState $s) => $planned->choice === null &&
                array_intersect($s->requirement->clauses, $blamed) !== []
                    ? new RequirementState($s->requirement, 'conflict', $s->by, $planned->conflict?->reason)
                    : $s,
                Conformance::ofArea($planned->demand, $planned->choice->techniques ?? []),
            ),
        );
    }

    private static function within(Requirement $requirement, float $have, ?string $reason): RequirementState
    {
        return match (true) {
            $requirement->min !== null && $have < $requirement->min => new RequirementState(
                $requirement,
                'short',
                $requirement->min - $have,
                $reason,
            ),
            $requirement->max !== null && $have > $requirement->max + AreaSolver::TIE => new RequirementState(
                $requirement,
                'over',
                $have - $requirement->max,
            ),
            default => new RequirementState($requirement, 'met'),
        };
    }

    /**
     * @param  list<PlannedArea>  $areas
     * @return list<Warning>
     */
    private function warnings(array $areas, PlannedArea $whole): array
    {
        $warnings = [];
        foreach ($areas as $planned) {
            $area = $planned->demand->area;
            if ($area !== null && $planned->relaxed > 0 && $planned->choice !== null) {
                $warnings[] = new Warning(
                    'grade_lowered',
                    $area->key,
                    "Nothing that is allowed on $area->name meets the tier at the grade this pace ".
                        "wants: grade $planned->gradeBar is taken there.",
                );
            }
        }
        foreach ($this->request->amendments as $amendment) {
            if ($amendment->on !== null) {
                $warnings[] = new Warning(
                    'amendment_on_some',
                    null,
                    "Amendment $amendment->number holds on some pieces only: this is the plan of the others.",
                );
            }
        }
        foreach ($this->request->arrangement->overrules as $overrule) {
            $warnings[] = new Warning(
                'rule_overruled',
                null,
                "Set aside for this order: {$overrule->rule->words()}, between $overrule->earlier and $overrule->later. $overrule->reason",
                [$overrule->rule->value],
            );
        }
        foreach ($areas as $planned) {
            $area = $planned->demand->area;
            $used = $planned->choice->techniques ?? [];
            $decals =
                $area === null
                    ? []
                    : array_filter(
                        $used,
                        fn (ChosenTechnique $u) => $this->method->goesIntoWash($u->technique, $area),
                    );
            if (
                $area !== null &&
                $decals !== [] &&
                array_filter(
                    $used,
                    fn (ChosenTechnique $u) => $u->technique->tidied && $u->technique->givesAny(Effect::Shade),
                ) === []
            ) {
                $warnings[] = new Warning(
                    'no_wet_wash',
                    $area->key,
                    "There is no wash on $area->name for its decal to go into: it wants gloss under it instead.",
                );
            }
        }
        foreach ($areas as $planned) {
            $area = $planned->demand->area;
            foreach ($planned->choice->techniques ?? [] as $used) {
                if (
                    $area !== null &&
                    $area->count === 0 &&
                    $used->technique->perPiece > 0 &&
                    $used->minutesAPass <= 0.0
                ) {
                    $warnings[] = new Warning(
                        'nothing_counted',
                        $area->key,
                        "{$used->technique->name} on $area->name is timed by the piece, and the map ".
                            'counts nothing there: it takes no time in this plan.',
                        technique: $used->technique->key,
                    );
                }
            }
        }
        foreach ($this->request->scheme === null ? [] : $areas as $planned) {
            $area = $planned->demand->area;
            if ($area !== null && $area->rank !== Rank::Ground && $this->request->scheme?->for($area) === null) {
                $warnings[] = new Warning('no_colours', $area->key, "The scheme has no colours for $area->name.");
            }
        }

        return $warnings;
    }

    private function cycleWarning(Cycle $cycle): Warning
    {
        return new Warning(
            'order_circle',
            null,
            ucfirst($cycle->words),
            array_map(fn ($rule) => $rule->value, $cycle->rules),
        );
    }

    /** @return list<string> */
    private function sprayClauses(AreaDemand $model): array
    {
        return $model->first(RequirementKind::SprayedColours)->clauses ?? [];
    }

    private function indexOf(Technique $technique): int
    {
        return (int) array_search($technique, $this->request->standard->techniques, true);
    }
}
