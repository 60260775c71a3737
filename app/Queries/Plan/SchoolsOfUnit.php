<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\UnitPlans;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\School;

/** Each answer of each school, with the minutes a piece would take. */
final class SchoolsOfUnit
{
    public function __construct(
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
    ) {
    }

    /** @return array{now: float, schools: list<array<string, mixed>>} */
    public function of(Unit $unit): array
    {
        $request = $this->plans->request($this->units->withPlan($unit));
        $now = $this->planner->plan($request);

        return [
            'now' => round($now->minutesByPasses(), 2),
            'schools' => array_map(fn (School $s) => $this->school($s, $request, $now), School::cases()),
        ];
    }

    /** @return array<string, mixed> */
    private function school(School $school, PlanRequest $request, Plan $now): array
    {
        $chosen = $request->method->answer($school);
        $answers = [];
        foreach ($school->answers() as $answer) {
            $plan =
                $answer === ($chosen ?? $school->unsaid())
                    ? $now
                    : $this->planner->plan($request->by($request->method->with($school, $answer)));
            $answers[] = ['answer' => $answer] + self::consequence($plan, $now);
        }

        return ['school' => $school->value, 'answer' => $chosen, 'answers' => $answers];
    }

    /**
     * @return array{minutes: float, waiting: float, short: int, steps: int, moved: bool} what a plan would be beside
     *     the one as it is
     */
    private static function consequence(Plan $plan, Plan $now): array
    {
        $then = self::steps($plan);
        $before = self::steps($now);

        return [
            'minutes' => round($plan->minutesByPasses(), 2),
            'waiting' => round($plan->work->idleMinutes, 2),
            'short' => self::short($plan) - self::short($now),
            'steps' => count($then) - count($before),
            'moved' => array_values(array_intersect($before, $then)) !== array_values(array_intersect($then, $before)),
        ];
    }

    /** @return list<string> keys */
    private static function steps(Plan $plan): array
    {
        return array_map(fn (Step $s) => $s->key()->id, $plan->work->steps);
    }

    private static function short(Plan $plan): int
    {
        return count(
            array_filter(
                $plan->requirements,
                fn ($r) => $r->state?->isLacking() === true,
            ),
        );
    }
}
