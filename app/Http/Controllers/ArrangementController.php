<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ArrangeUnit;
use App\Models\Unit;
use App\Studio\Refusal;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Ladder\Voices;
use Ordotype\Core\Method\Choice as MethodChoice;
use Ordotype\Core\Method\Method;
use Ordotype\Core\Method\School;
use Ordotype\Core\Planning\Extra;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Planning\RaisedArea;
use Ordotype\Core\Planning\Raising;
use Ordotype\Core\Planning\SpareMinutes;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use stdClass;

/** What could be arranged for a unit, each with its consequence before it is done. */
final class ArrangementController
{
    public function __construct(private readonly PlanController $plans)
    {
    }

    /** Each answer of each school with the minutes a piece would take. */
    public function schools(Unit $unit): JsonResponse
    {
        $request = $this->request($unit);
        $minutes = fn (Method $method) => round(Planner::plan(new PlanRequest($request->standard, $request->tier, $request->sculpt, $request->scheme, $method, $request->amendments, $request->shelf, $request->pieces))->minutesByPasses(), 2);
        $now = $minutes($request->method);

        return new JsonResponse(['now' => $now, 'schools' => array_map(function (School $school) use ($request, $minutes, $now): array {
            $chosen = $request->method->answer($school);
            $method = fn (string $answer) => new Method([$school->value => [new MethodChoice($answer, null)]] + $request->method->choices, $request->method->undercoatColour);

            return ['school' => $school->value, 'answer' => $chosen, 'answers' => array_map(fn (string $a) => ['answer' => $a, 'minutes' => $a === $chosen ? $now : $minutes($method($a))], $school->answers())];
        }, School::cases())]);
    }

    /** What the unit would be at every tier it may be moved to. */
    public function tiers(Unit $unit): JsonResponse
    {
        $request = $this->request($unit);
        $now = UnitPlans::plan($unit);
        $done = Raising::workOf($now);
        $tiers = array_values(array_filter($request->standard->tiers, fn (Tier $t) => $t->status !== TierStatus::Retired));
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);

        return new JsonResponse(['currency' => $request->standard->currency, 'data' => array_map(function (Tier $tier) use ($request, $now, $done): array {
            $unfit = false;
            try {
                $plan = $tier->key === $request->tier->key ? $now : $this->at($request, $tier, $request->amendments);
            } catch (\Ordotype\Core\Format\FormatException) {
                // An amendment of the unit speaks of a clause that this tier does not have.
                $plan = $this->at($request, $tier, []);
                $unfit = true;
            }
            $difference = new TierDifference($now, $plan);
            $raise = $tier->order > $request->tier->order && $tier->status === TierStatus::Offered ? new Raising($plan->request, $done) : null;
            $price = $difference->prices()[1];

            return ['key' => $tier->key, 'name' => $tier->name, 'order' => $tier->order, 'status' => $tier->status->value, 'minutes' => round($plan->minutesByPasses(), 2), 'conflicts' => count($plan->conflicts()), 'amendments_unfit' => $unfit,
                'price' => $price === null ? null : ['low' => $price->low, 'high' => $price->high], 'raise' => $raise === null ? null : ['minutes' => round(array_sum(array_map(fn (RaisedArea $a) => $a->minutes(), $raise->areas())), 2), 'repainted' => array_values(array_map(fn (RaisedArea $a) => $a->demand->area->name ?? '', array_filter($raise->areas(), fn (RaisedArea $a) => $a->repainted))), 'concerns' => $raise->concerns()],
                'gains' => (new Voices($difference))->gains(), 'losses' => (new Voices($difference))->losses()];
        }, $tiers)]);
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
            'now' => round($now, 2), 'to' => $to,
            'quickest' => round(Planner::withAim($core, Aim::Quickest)->minutesByPasses(), 2), 'best' => round(Planner::withAim($core, Aim::Best)->minutesByPasses(), 2),
            'buys' => array_map(fn (Extra $e) => ['area' => $e->area->key, 'area_name' => $e->area->name, 'technique' => $e->technique()->key, 'name' => $e->technique()->name, 'minutes' => $e->minutes, 'notice' => round($e->notice, 1), 'on_request' => $e->onRequest], $extras),
            'cuts' => $to < $now ? $this->cuts($plan, $to) : null,
        ]);
    }

    public function amend(Request $request, Unit $unit, ArrangeUnit $arrange): JsonResponse
    {
        $given = $request->validate(['revision' => ['required', 'integer'], 'amendment' => ['required', 'array']]);
        $amendment = self::object($request, 'amendment');

        return $this->plans->show($request, $arrange->amend($unit, $amendment, (int) $given['revision']));
    }

    public function unamend(Request $request, Unit $unit, int $amendment, ArrangeUnit $arrange): JsonResponse
    {
        return $this->plans->show($request, $arrange->unamend($unit, $amendment, (int) $request->validate(['revision' => ['required', 'integer']])['revision']));
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

        return $this->plans->show($request, $arrange->method($unit, self::object($request, 'method'), (int) $given['revision']));
    }

    private function request(Unit $unit): PlanRequest
    {
        return UnitPlans::request($unit->load(['order.version', 'order.scheme', 'sculpt']));
    }

    /** @param  list<\Ordotype\Core\Amendment\Amendment>  $amendments */
    private function at(PlanRequest $request, Tier $tier, array $amendments): Plan
    {
        return Planner::plan(new PlanRequest($request->standard, $tier, $request->sculpt, $request->scheme, $request->method, $amendments, $request->shelf, $request->pieces));
    }

    /**
     * What has to go, least noticed for its minutes first; the floor of the tier is never cut, so then the highest tier
     * that fits is named.
     *
     * @return array<string, mixed>
     */
    private function cuts(Plan $plan, float $to): array
    {
        $left = $plan->minutesByPasses();
        $spare = [];
        foreach ($plan->surplus as $surplus) {
            $area = $surplus->step->area;
            $spare[] = ['area' => $area?->key, 'area_name' => $area->name ?? 'the whole model', 'name' => $surplus->step->technique->name, 'minutes' => round($surplus->step->minutes, 2), 'notice' => $area === null ? 0.0 : SpareMinutes::notice($area, $surplus->step->technique)];
        }
        usort($spare, fn (array $a, array $b) => $a['notice'] / max(0.01, $a['minutes']) <=> $b['notice'] / max(0.01, $b['minutes']));
        $gone = [];
        foreach ($spare as $one) {
            if ($left > $to) {
                $gone[] = $one;
                $left -= $one['minutes'];
            }
        }
        $fits = null;
        foreach ($left > $to ? $plan->request->standard->tiers : [] as $tier) {
            if ($tier->status !== TierStatus::Offered || $tier->order >= $plan->request->tier->order || ($fits !== null && $tier->order < $fits['order'])) {
                continue;
            }
            $minutes = $this->at($plan->request, $tier, [])->minutesByPasses();
            if ($minutes <= $to) {
                $fits = ['key' => $tier->key, 'name' => $tier->name, 'order' => $tier->order, 'minutes' => round($minutes, 2)];
            }
        }

        return ['go' => $gone, 'left' => round($left, 2), 'enough' => $left <= $to + 1e-9, 'tier' => $fits];
    }

    private static function object(Request $request, string $key): stdClass
    {
        $body = Json::decode($request->getContent());
        $value = $body instanceof stdClass ? $body->{$key} ?? null : null;

        return $value instanceof stdClass ? $value : ($value === [] ? new stdClass : throw new Refusal("\"$key\" must be an object.", "/$key"));
    }
}
