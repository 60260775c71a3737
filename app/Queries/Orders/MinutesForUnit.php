<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\UnitPlans;
use Ordotype\Core\Planning\Outlook\Cut;
use Ordotype\Core\Planning\Outlook\Cutting;
use Ordotype\Core\Planning\Plan\Extra;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\SpareMinutes;
use Ordotype\Core\Standard\Aim;

/** What more minutes buy, or what goes when there must be fewer; and the minutes of either aim. */
final class MinutesForUnit
{
    public function __construct(
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
    ) {
    }

    /**
     * @param  float  $to  minutes a piece
     * @return array<string, mixed>
     */
    public function of(Unit $unit, float $to): array
    {
        $unit = $this->units->withPlan($unit);
        $request = $this->plans->request($unit);
        $plan = $this->plans->plan($unit);
        $now = $plan->minutesByPasses();

        return [
            'now' => round($now, 2),
            'to' => $to,
            ...$this->aims($request),
            'buys' => $to > $now ? array_map(self::extra(...), (new SpareMinutes($plan))->buy($to - $now)) : [],
            'cuts' => $to < $now ? self::cuts(Cutting::to($plan, $to), $to) : null,
        ];
    }

    /** @return array{quickest: float, best: float} minutes a piece */
    public function ofAims(Unit $unit): array
    {
        return $this->aims($this->plans->request($this->units->withPlan($unit)));
    }

    /** @return array{quickest: float, best: float} */
    private function aims(PlanRequest $request): array
    {
        $minutes = fn (Aim $aim): float => round($this->planner->withAim($request, $aim)->minutesByPasses(), 2);

        return ['quickest' => $minutes(Aim::Quickest), 'best' => $minutes(Aim::Best)];
    }

    /** @return array<string, mixed> */
    private static function extra(Extra $extra): array
    {
        return [
            'area' => $extra->area->key,
            'area_name' => $extra->area->name,
            'technique' => $extra->technique()->key,
            'name' => $extra->technique()->name,
            'minutes' => $extra->minutes,
            'notice' => round($extra->notice, 1),
            'on_request' => $extra->onRequest,
        ];
    }

    /** @return array<string, mixed> what has to go, and where that is not enough the tier that fits */
    private static function cuts(Cutting $cutting, float $to): array
    {
        $tier = $cutting->tier;

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
            'tier' => $tier === null
                    ? null
                    : [
                        'key' => $tier->key,
                        'name' => $tier->name,
                        'order' => $tier->order,
                        'minutes' => round((float) $cutting->tierMinutes, 2),
                    ],
        ];
    }
}
