<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Exceptions\PlanRefused;
use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\UnitPlans;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\HeldBack;
use Ordotype\Core\Planning\Sequencing\Move;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Words\PlanWords;
use Ordotype\Core\Words\Terms;

/** What moving a step in the order of work would break, and how long would then be waited; nothing is kept. */
final class MoveOfStep
{
    public function __construct(private readonly Units $units, private readonly UnitPlans $plans)
    {
    }

    /**
     * @param  string  $step  its key
     * @param  int  $to  its place from 0; beyond the last is the last
     * @return array<string, mixed>
     *
     * @throws PlanRefused
     */
    public function of(Unit $unit, string $step, int $to): array
    {
        $plan = $this->plans->plan($this->units->withPlan($unit));
        $steps = $plan->work->steps;
        $from = array_search($step, array_map(fn (Step $s) => $s->key()->id, $steps), true);
        if ($from === false) {
            throw PlanRefused::noSuchStep($step, '/step');
        }
        $move = Move::of($steps, WorkOrder::of($plan->request)->rules($steps), $from, min($to, count($steps) - 1));
        $moved = $plan->request->arranged($plan->request->arrangement->rulesOnly()->inSequence($move->sequence));
        $then = $move->broken !== [] ? null : WorkOrder::of($moved)->lay($steps);

        return [
            'sequence' => array_map(fn (StepKey $k) => $k->id, $move->sequence),
            'waiting' => round($plan->work->idleMinutes, 2),
            'waiting_then' => $then === null ? null : round($then->idleMinutes, 2),
            'passes' => count($plan->work->passes),
            'passes_then' => $then === null ? null : count($then->passes),
            'broken' => array_map(self::broken(...), $move->broken),
        ];
    }

    /** @return array<string, string> */
    private static function broken(HeldBack $held): array
    {
        return [
            'rule' => $held->rule->value,
            'words' => Terms::rule($held->rule),
            'earlier' => $held->earlier->place()->id,
            'earlier_name' => Terms::capital(PlanWords::step($held->earlier)),
            'later' => $held->later->place()->id,
            'later_name' => Terms::capital(PlanWords::step($held->later)),
        ];
    }
}
