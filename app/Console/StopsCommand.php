<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Planning\Outlook\StoppingPoint;
use Ordotype\Core\Planning\Outlook\StoppingPoints;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Words\PlanWords;

final class StopsCommand extends CoreCommand
{
    protected $signature = 'ordotype:stops
        {--standard= : file in ordotype/standard@1}
        {--tier= : the tier the plan is for}
        {--sculpt= : file in ordotype/sculpt@1}
        {--scheme= : file in ordotype/scheme@1}
        {--method= : file in ordotype/method@1}
        {--amend= : file in ordotype/amendment@1}
        {--shelf= : CSV of paints}
        {--pieces=1 : how many are painted together}
        {--json : print JSON}';

    protected $description =
        'Where work on a plan could stop so that what is there meets a lower tier, and the '.
        'order of work laid out so';

    protected function work(): int
    {
        $plan = $this->planner()->plan($this->request());
        $stops = new StoppingPoints($plan, $this->planner());
        $points = $stops->all();
        if ($this->option('json') === true) {
            $this->line(Json::encode(self::written($plan, $points, $stops->laidOut($points))));

            return self::SUCCESS;
        }
        $words = new PlanWords($plan->request);
        $this->line(
            "{$plan->request->sculpt->name}, {$plan->request->tier->name}: ".
                count($plan->work->steps).
                ' steps, '.
                round($plan->minutesByArea()).
                ' min a model, area by area.',
        );
        $this->table(
            ['Stop at', 'Steps', 'min', ''],
            array_map(
                fn (StoppingPoint $p) => [
                    $p->tier->name,
                    $p->steps === null ? '–' : count($p->steps),
                    $p->steps === null ? '–' : round($p->minutes),
                    $p->obstacle === null ? '' : 'No stop: '.$words->obstacle($p->obstacle).'.',
                ],
                $points,
            ),
        );
        $this->line(
            'Varnish, gloss, joining, the rim and the final look are done wherever the work stops; the minutes '.
                'hold them.',
        );

        return self::SUCCESS;
    }

    /**
     * @param  list<StoppingPoint>  $points
     * @return array<string, mixed>
     */
    private static function written(Plan $plan, array $points, OrderedWork $laid): array
    {
        $words = new PlanWords($plan->request);
        $keys = array_map(fn (Step $s) => $s->key()->id, $plan->work->steps);

        return [
            'sculpt' => $plan->request->sculpt->name,
            'tier' => $plan->request->tier->key,
            'stops' => array_map(
                fn (StoppingPoint $p) => [
                    'tier' => $p->tier->key,
                    'steps' => $p->steps === null ? null : array_map(fn (int $i) => $keys[$i], $p->steps),
                    'minutes' => $p->steps === null ? null : $p->minutes,
                    'reason' => $p->obstacle === null ? null : $words->obstacle($p->obstacle),
                ],
                $points,
            ),
            'order' => array_map(fn (Step $s) => $s->key()->id, $laid->steps),
            'waiting' => $laid->idleMinutes,
        ];
    }
}
