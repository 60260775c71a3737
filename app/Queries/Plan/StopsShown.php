<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\UnitPlans;
use Ordotype\Core\Planning\Outlook\StoppingPoint;
use Ordotype\Core\Planning\Outlook\StoppingPoints;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Words\PlanWords;

/** Where the work on a unit could stop and be a lower tier, and the order that keeps these places open. */
final class StopsShown
{
    public function __construct(
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Unit $unit): array
    {
        $plan = $this->plans->plan($this->units->withPlan($unit));
        $stops = new StoppingPoints($plan, $this->planner);
        $words = new PlanWords($plan->request);
        $points = $stops->all();
        $laid = $stops->laidOut($points);

        return [
            'steps' => count($plan->work->steps),
            'waiting' => round($plan->work->idleMinutes, 2),
            'waiting_then' => round($laid->idleMinutes, 2),
            'stops' => array_map(fn (StoppingPoint $p) => self::point($p, $words), $points),
            'order' => array_map(
                fn (Step $s) => [
                    'key' => $s->key()->id,
                    'area' => $s->area?->key,
                    'name' => $s->technique->name,
                    'minutes' => round($s->minutes, 2),
                    'tier' => self::tierOf((int) array_search($s, $plan->work->steps, true), $points),
                ],
                $laid->steps,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function point(StoppingPoint $point, PlanWords $words): array
    {
        return [
            'tier' => $point->tier->key,
            'name' => $point->tier->name,
            'order' => $point->tier->order,
            'steps' => $point->steps === null ? null : count($point->steps),
            'minutes' => $point->steps === null ? null : round($point->minutes, 2),
            'reason' => $point->obstacle === null ? null : $words->obstacle($point->obstacle),
        ];
    }

    /**
     * @param  int  $step  its place in the plan
     * @param  list<StoppingPoint>  $points  the lowest tier first
     * @return string|null the key of the first tier that the step belongs to
     */
    private static function tierOf(int $step, array $points): ?string
    {
        foreach ($points as $point) {
            if (in_array($step, $point->steps ?? [], true)) {
                return $point->tier->key;
            }
        }

        return null;
    }
}
