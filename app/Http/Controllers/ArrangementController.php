<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ArrangeUnit;
use App\Formats\Amounts;
use App\Models\Unit;
use App\Studio\Refusal;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Choice\Standing;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Method\School;
use Ordotype\Core\Outlook\Cut;
use Ordotype\Core\Outlook\Cutting;
use Ordotype\Core\Outlook\RaisedArea;
use Ordotype\Core\Outlook\Raising;
use Ordotype\Core\Planning\Extra;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Planning\SpareMinutes;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Words\Voices;
use stdClass;

/** What could be arranged for a unit, each with its consequence before it is done. */
final class ArrangementController
{
    public function __construct(private readonly PlanController $plans, private readonly Planner $planner)
    {
    }

    /** Each answer of each school with the minutes a piece would take. */
    public function schools(Unit $unit): JsonResponse
    {
        $request = $this->request($unit);
        $now = $this->planner->plan($request);

        return new JsonResponse([
            'now' => round($now->minutesByPasses(), 2),
            'schools' => array_map(function (School $school) use ($request, $now): array {
                $chosen = $request->method->answer($school);

                return [
                    'school' => $school->value,
                    'answer' => $chosen,
                    'answers' => array_map(
                        fn (string $a) => ['answer' => $a] +
                            $this->consequence(
                                $a === $chosen
                                    ? $now
                                    : $this->planner->plan($request->by($request->method->with($school, $a))),
                                $now,
                            ),
                        $school->answers(),
                    ),
                ];
            }, School::cases()),
        ]);
    }

    /** What the unit would be at every tier it may be moved to. */
    public function tiers(Unit $unit): JsonResponse
    {
        $request = $this->request($unit);
        $now = UnitPlans::plan($unit);
        $done = Raising::workOf($now);
        $tiers = array_values(
            array_filter($request->standard->tiers, fn (Tier $t) => $t->status !== TierStatus::Retired),
        );
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);

        return new JsonResponse([
            'currency' => $request->standard->currency,
            'data' => array_map(function (Tier $tier) use ($request, $now, $done): array {
                if ($tier->status === TierStatus::Open) {
                    return self::quoted($tier);
                }
                $unfit = false;
                try {
                    $plan =
                        $tier->key === $request->tier->key ? $now : $this->at($request, $tier, $request->amendments);
                } catch (\Ordotype\Core\Problem\FormatException) {
                    // An amendment of the unit speaks of a clause that this tier does not have.
                    $plan = $this->at($request, $tier, []);
                    $unfit = true;
                }
                $difference = new TierDifference($now, $plan);
                $raise =
                    $tier->order > $request->tier->order && $tier->status === TierStatus::Offered
                        ? new Raising($plan->request, $done)
                        : null;
                $price = $difference->prices()[1];

                return [
                    'key' => $tier->key,
                    'name' => $tier->name,
                    'order' => $tier->order,
                    'status' => $tier->status->value,
                    'minutes' => round($plan->minutesByPasses(), 2),
                    'conflicts' => count($plan->conflicts()),
                    'amendments_unfit' => $unfit,
                    'price' => $price === null ? null : ['low' => $price->low, 'high' => $price->high],
                    'raise' => $raise === null
                            ? null
                            : [
                                'minutes' => round(
                                    array_sum(array_map(fn (RaisedArea $a) => $a->minutes(), $raise->areas())),
                                    2,
                                ),
                                'repainted' => array_values(
                                    array_map(
                                        fn (RaisedArea $a) => $a->demand->area->name ?? '',
                                        array_filter($raise->areas(), fn (RaisedArea $a) => $a->repainted),
                                    ),
                                ),
                                'varnished' => $raise->isVarnished(),
                                'concerns' => array_map(fn (Technique $t) => $t->name, $raise->concerns()),
                            ],
                    'gains' => (new Voices($difference))->gains(),
                    'losses' => (new Voices($difference))->losses(),
                ];
            }, $tiers),
        ]);
    }

    /** @return array<string, mixed> a tier that has no figures: it is quoted by hand */
    private static function quoted(Tier $tier): array
    {
        return [
            'key' => $tier->key,
            'name' => $tier->name,
            'order' => $tier->order,
            'status' => $tier->status->value,
            'minutes' => null,
            'conflicts' => 0,
            'amendments_unfit' => false,
            'price' => null,
            'raise' => null,
            'gains' => [],
            'losses' => [],
        ];
    }

    /** What more minutes buy, or what goes when there must be fewer; and the plan of either aim. */
    public function spare(Request $request, Unit $unit): JsonResponse
    {
        $given = $request->validate(['minutes' => ['required', 'numeric', 'min:0', 'max:6000']]);
        $core = $this->request($unit);
        $plan = UnitPlans::plan($unit);
        $now = $plan->minutesByPasses();
        $to = (float) $given['minutes'];
        $extras = $to > $now ? (new SpareMinutes($plan))->buy($to - $now) : [];

        return new JsonResponse([
            'now' => round($now, 2),
            'to' => $to,
            'quickest' => round($this->planner->withAim($core, Aim::Quickest)->minutesByPasses(), 2),
            'best' => round($this->planner->withAim($core, Aim::Best)->minutesByPasses(), 2),
            'buys' => array_map(
                fn (Extra $e) => [
                    'area' => $e->area->key,
                    'area_name' => $e->area->name,
                    'technique' => $e->technique()->key,
                    'name' => $e->technique()->name,
                    'minutes' => $e->minutes,
                    'notice' => round($e->notice, 1),
                    'on_request' => $e->onRequest,
                ],
                $extras,
            ),
            'cuts' => $to < $now ? $this->cuts($plan, $to) : null,
        ]);
    }

    public function amend(Request $request, Unit $unit, ArrangeUnit $arrange): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'amendment' => ['required', 'array'],
            'piece' => ['nullable', 'integer'],
        ]);
        $amendment = Amounts::in(self::object($request, 'amendment'));

        return $this->plans->show(
            $request,
            $arrange->amend($unit, $amendment, (int) $given['revision'], PlanController::piece($request, $unit)),
        );
    }

    public function unamend(Request $request, Unit $unit, int $amendment, ArrangeUnit $arrange): JsonResponse
    {
        return $this->plans->show(
            $request,
            $arrange->unamend(
                $unit,
                $amendment,
                (int) $request->validate(['revision' => ['required', 'integer']])['revision'],
            ),
        );
    }

    public function move(Request $request, Unit $unit, ArrangeUnit $arrange): JsonResponse
    {
        $given = $request->validate(['revision' => ['required', 'integer'], 'tier' => ['required', 'string']]);
        [$unit, $gone] = $arrange->move($unit, $given['tier'], (int) $given['revision']);

        return new JsonResponse(['unit' => $unit->id, 'revision' => $unit->revision, 'edits_gone' => $gone]);
    }

    public function method(Request $request, Unit $unit, ArrangeUnit $arrange): JsonResponse
    {
        $given = $request->validate(['revision' => ['required', 'integer'], 'method' => ['present', 'array']]);

        return $this->plans->show(
            $request,
            $arrange->method($unit, self::object($request, 'method'), (int) $given['revision']),
        );
    }

    private function request(Unit $unit): PlanRequest
    {
        return UnitPlans::request($unit->load(['order.version', 'order.scheme', 'sculpt', 'pieces']));
    }

    /**
     * @return array{minutes: float, waiting: float, short: int, steps: int, moved: bool} what a plan would be beside
     * the one as it is
     */
    private function consequence(Plan $plan, Plan $now): array
    {
        $steps = fn (Plan $p): array => array_map(fn (Step $s) => $s->key()->id, $p->work->steps);
        $short = fn (Plan $p): int => count(
            array_filter(
                $p->requirements,
                fn ($r) => in_array($r->state, [Standing::Short, Standing::Conflict], true),
            ),
        );

        return [
            'minutes' => round($plan->minutesByPasses(), 2),
            'waiting' => round($plan->work->idleMinutes, 2),
            'short' => $short($plan) - $short($now),
            'steps' => count($steps($plan)) - count($steps($now)),
            'moved' => array_values(array_intersect($steps($now), $steps($plan))) !==
                array_values(array_intersect($steps($plan), $steps($now))),
        ];
    }

    /** @param  list<\Ordotype\Core\Amendment\Amendment>  $amendments */
    private function at(PlanRequest $request, Tier $tier, array $amendments): Plan
    {
        return $this->planner->plan($request->at($tier)->amended($amendments));
    }

    /** @return array<string, mixed> what has to go, and where that is not enough the tier that fits */
    private function cuts(Plan $plan, float $to): array
    {
        $cutting = Cutting::to($plan, $to);

        return [
            'go' => array_map(
                fn (Cut $c) => [
                    'area' => $c->area?->key,
                    'area_name' => $c->area->name ?? 'the whole model',
                    'name' => $c->technique->name ?? 'what amendment '.$c->amendment?->number.' adds',
                    'amendment' => $c->amendment?->number,
                    'minutes' => round($c->minutes, 2),
                    'notice' => round($c->notice, 1),
                ],
                $cutting->cuts,
            ),
            'left' => round($cutting->left, 2),
            'enough' => $cutting->isEnough($to),
            'tier' => $cutting->tier === null
                    ? null
                    : [
                        'key' => $cutting->tier->key,
                        'name' => $cutting->tier->name,
                        'order' => $cutting->tier->order,
                        'minutes' => round((float) $cutting->tierMinutes, 2),
                    ],
        ];
    }

    private static function object(Request $request, string $key): stdClass
    {
        $body = Json::decode($request->getContent());
        $value = $body instanceof stdClass ? $body->{$key} ?? null : null;

        return $value instanceof stdClass
            ? $value
            : ($value === []
                ? new stdClass()
                : throw new Refusal("\"$key\" must be an object.", "/$key"));
    }
}
