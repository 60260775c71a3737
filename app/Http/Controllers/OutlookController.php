<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RaiseUnit;
use App\Models\Unit;
use App\Studio\PlanView;
use App\Studio\Refusal;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Choice\Standing;
use Ordotype\Core\Outlook\AreaDifference;
use Ordotype\Core\Outlook\PlanComparison;
use Ordotype\Core\Outlook\RaisedArea;
use Ordotype\Core\Outlook\SprayComparison;
use Ordotype\Core\Outlook\SprayOrBrush;
use Ordotype\Core\Outlook\StoppingPoint;
use Ordotype\Core\Outlook\StoppingPoints;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Words\PlanWords;
use OutOfBoundsException;

/**
 * What could become of a unit, told before anything is done: raised to a tier, stopped on the way, sprayed or brushed,
 * beside another plan.
 */
final class OutlookController
{
    public function __construct(
        private readonly Planner $planner,
        private readonly SprayComparison $sprayComparison,
    ) {
    }

    public function raise(Request $request, Unit $unit, RaiseUnit $raise): JsonResponse
    {
        [$unit, $tier, $stands] = $this->raised($request, $unit, $raise);
        $work = $raise->work($unit, $tier, $stands);
        $words = new PlanWords(UnitPlans::request($unit)->at($tier));

        return new JsonResponse([
            'tier' => $tier->key,
            'from' => $stands ? 'stands' : 'finished',
            'minutes' => round($work->minutes(), 2),
            'anew' => round($this->planner->plan(UnitPlans::request($unit)->at($tier))->minutesByPasses(), 2),
            'areas' => array_map(
                fn (RaisedArea $a) => [
                    'area' => $a->demand->area?->key,
                    'name' => $a->demand->area->name ?? '',
                    'minutes' => round($a->minutes(), 2),
                    'repainted' => $a->repainted,
                    'over' => $a->over,
                    'added' => array_map(self::used(...), $a->added),
                    'lost' => array_map(self::used(...), $a->lost),
                    'conflict' => $a->conflict === null ? null : $words->conflict($a->conflict),
                ],
                array_values(
                    array_filter(
                        $work->areas,
                        fn (RaisedArea $a) => $a->added !== [] ||
                            $a->lost !== [] ||
                            $a->conflict !== null ||
                            $a->over > 0,
                    ),
                ),
            ),
            'whole' => array_map(self::used(...), $work->whole),
            'varnished' => $work->isVarnished,
            'concerns' => array_map(fn (Technique $t) => $t->name, $work->concerns),
            'conflicts' => count($work->conflicts()),
            'order' => array_map(
                fn (Step $s) => [
                    'area' => $s->area?->key,
                    'technique' => $s->technique->key,
                    'name' => $s->technique->name,
                    'minutes' => round($s->minutes, 2),
                    'paint' => $s->colour?->words(),
                ],
                $work->work->steps,
            ),
        ]);
    }

    public function doRaise(Request $request, Unit $unit, RaiseUnit $raise): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'tier' => ['required', 'string'],
            'from' => ['required', 'in:finished,stands'],
        ]);

        return new JsonResponse(
            PlanView::of(
                $raise($unit, $given['tier'], $given['from'] === 'stands', (int) $given['revision']),
                $request->user(),
            ),
        );
    }

    public function stops(Unit $unit): JsonResponse
    {
        $plan = $this->plan($unit);
        $stops = new StoppingPoints($plan, $this->planner);
        $words = new PlanWords($plan->request);
        $points = $stops->all();
        $laid = $stops->laidOut($points);

        return new JsonResponse([
            'steps' => count($plan->work->steps),
            'waiting' => round($plan->work->idleMinutes, 2),
            'waiting_then' => round($laid->idleMinutes, 2),
            'stops' => array_map(
                fn (StoppingPoint $p) => [
                    'tier' => $p->tier->key,
                    'name' => $p->tier->name,
                    'order' => $p->tier->order,
                    'steps' => $p->steps === null ? null : count($p->steps),
                    'minutes' => $p->steps === null ? null : round($p->minutes, 2),
                    'reason' => $p->obstacle === null ? null : $words->obstacle($p->obstacle),
                ],
                $points,
            ),
            'order' => array_map(function (Step $s) use ($points, $plan): array {
                $stage = null;
                foreach ($points as $point) {
                    if (
                        $stage === null &&
                        in_array(array_search($s, $plan->work->steps, true), $point->steps ?? [], true)
                    ) {
                        $stage = $point->tier->key;
                    }
                }

                return [
                    'key' => $s->key()->id,
                    'area' => $s->area?->key,
                    'name' => $s->technique->name,
                    'minutes' => round($s->minutes, 2),
                    'tier' => $stage,
                ];
            }, $laid->steps),
        ]);
    }

    public function spraying(Unit $unit): JsonResponse
    {
        $request = $this->plan($unit)->request;
        $names = fn (array $areas): array => array_map(fn (Area $a) => $a->name, $areas);

        return new JsonResponse([
            'pieces' => $request->pieces,
            'colours' => array_map(
                fn (SprayOrBrush $c) => [
                    'paint' => $c->paint,
                    'hex' => $c->paint === null ? null : $request->shelf->colourOf($c->paint)?->hex(),
                    'areas' => $names($c->areas),
                    'masked' => $names($c->masked),
                    'sprayed' => $c->isSprayed,
                    'spray' => [
                        'setup' => round($c->spraySetup, 2),
                        'hand' => round($c->sprayHand, 2),
                        'masking' => round($c->masking, 2),
                        'total' => round($c->bySpray(), 2),
                    ],
                    'brush' => [
                        'setup' => round($c->brushSetup, 2),
                        'hand' => round($c->brushHand, 2),
                        'total' => round($c->byBrush(), 2),
                    ],
                ],
                $this->sprayComparison->of($request),
            ),
        ]);
    }

    /**
     * This plan beside another: the planner's own, the other aim, another tier, or another unit of the same sculpt.
     */
    public function compare(Request $request, Unit $unit): JsonResponse
    {
        $with = $request->validate([
            'with' => ['required', 'string', 'regex:/^(planner|quickest|best|tier:[\w-]+|unit:\d+|piece:\d+)$/'],
        ])['with'];
        $plan = $this->plan($unit);
        [$name, $other] = $this->other($plan, $unit, $with);
        $comparison = new PlanComparison($plan, $other);

        return new JsonResponse([
            'with' => $with,
            'name' => $name,
            'minutes' => round($plan->minutesByPasses(), 2),
            'minutes_other' => round($other->minutesByPasses(), 2),
            'waiting' => round($plan->work->idleMinutes, 2),
            'waiting_other' => round($other->work->idleMinutes, 2),
            'short' => self::count($plan, Standing::Short),
            'short_other' => self::count($other, Standing::Short),
            'over' => self::count($plan, Standing::Over),
            'over_other' => self::count($other, Standing::Over),
            'differences' => array_map(
                fn (AreaDifference $d) => [
                    'area' => $d->area?->key,
                    'name' => $d->area->name ?? 'Whole model',
                    'only_here' => array_map(self::used(...), $d->onlyOne),
                    'only_there' => array_map(self::used(...), $d->onlyOther),
                    'minutes' => $d->minutesOne === null ? null : round($d->minutesOne, 2),
                    'minutes_other' => $d->minutesOther === null ? null : round($d->minutesOther, 2),
                ],
                $comparison->differences(),
            ),
        ]);
    }

    /** @return array{string, Plan} */
    private function other(Plan $plan, Unit $unit, string $with): array
    {
        [$kind, $key] = [...explode(':', $with, 2), ''];
        $request = UnitPlans::request($unit);
        if ($kind === 'unit') {
            $other = Unit::query()->findOrFail((int) $key);
            if ($other->sculpt_id !== $unit->sculpt_id) {
                throw new Refusal('The other unit is another figure: its areas are not these.', '/with');
            }

            return ["{$other->order->number}, {$other->tier}", $this->plan($other)];
        }
        try {
            return match ($kind) {
                'planner' => ['As the planner has it', $this->planner->plan($request)],
                'quickest' => ['Quickest that passes', $this->planner->withAim($request, Aim::Quickest)],
                'best' => ['Best within the minutes', $this->planner->withAim($request, Aim::Best)],
                'piece' => ["Model $key", UnitPlans::unitPlan($unit)->kindOf((int) $key)->plan],
                default => [
                    $request->standard->tier($key)->name,
                    $this->planner->plan($request->at($request->standard->tier($key))->amended([])),
                ],
            };
        } catch (OutOfBoundsException $e) {
            throw new Refusal($e->getMessage(), '/with');
        }
    }

    /** @return array{Unit, \Ordotype\Core\Standard\Tier, bool} */
    private function raised(Request $request, Unit $unit, RaiseUnit $raise): array
    {
        $given = $request->validate(['tier' => ['required', 'string'], 'from' => ['nullable', 'in:finished,stands']]);
        $unit->load(['order.version', 'order.scheme', 'sculpt', 'pieces.logs']);

        return [$unit, $raise->tier($unit, $given['tier']), ($given['from'] ?? 'finished') === 'stands'];
    }

    private function plan(Unit $unit): Plan
    {
        return UnitPlans::plan($unit->load(['order.version', 'order.scheme', 'sculpt', 'pieces']));
    }

    private static function count(Plan $plan, Standing $state): int
    {
        return count(array_filter($plan->requirements, fn ($r) => $r->state === $state));
    }

    /** @return array<string, mixed> */
    private static function used(ChosenTechnique $u): array
    {
        return [
            'technique' => $u->technique->key,
            'name' => $u->technique->name,
            'passes' => $u->passes,
            'extent' => $u->extent->word(),
            'minutes' => round($u->minutes(), 2),
        ];
    }
}
