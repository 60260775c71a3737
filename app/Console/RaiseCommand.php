<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Outlook\RaisedArea;
use Ordotype\Core\Planning\Outlook\RaisedWork;
use Ordotype\Core\Planning\Outlook\Raising;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Words\PlanWords;

final class RaiseCommand extends CoreCommand
{
    protected $signature = 'ordotype:raise
        {--standard= : file in ordotype/standard@1}
        {--from= : key of the tier the piece was painted to}
        {--to= : key of the tier it is to meet}
        {--sculpt= : file in ordotype/sculpt@1}
        {--scheme= : file in ordotype/scheme@1}
        {--method= : file in ordotype/method@1}
        {--amend= : file in ordotype/amendment@1, one or a list: what is agreed beside the tier it is to meet}
        {--shelf= : CSV of paints}
        {--steps= : how many steps of its order of work are done; all when left out}
        {--json : print JSON}';

    protected $description =
        'Work out what to add to finished work so that it meets a higher tier in the '.'fewest added minutes';

    protected function work(): int
    {
        // What is agreed now says nothing of how it was painted.
        $done = $this->planner()->plan($this->request('from')->amended([]));
        $to = $this->request('to');
        $steps = array_map(fn (Step $s) => $s->key(), $done->work->steps);
        $so =
            $this->file('steps') === null ? $steps : array_slice($steps, 0, $this->wholeNumber('steps', 0, 100_000));
        $work = (new Raising(
            $to,
            count($so) === count($steps) ? Raising::workOf($done) : Raising::workSoFar($done, $so),
        ))->work();
        $minutes =
            array_sum(array_map(fn (RaisedArea $a) => $a->minutes(), $work->areas)) +
            array_sum(array_map(fn (ChosenTechnique $u) => $u->minutes(), $work->whole));
        $anew = $this->planner()->plan($to)->minutesByArea();
        if ($this->option('json') === true) {
            $this->line(
                Json::encode(
                    ['from' => $done->request->tier->key, 'minutes' => $minutes, 'anew' => $anew] +
                        self::document($work, $to),
                ),
            );

            return self::SUCCESS;
        }
        $this->line(
            "{$to->sculpt->name}, from {$done->request->tier->name} to {$to->tier->name}: ".
                round($minutes).
                ' min to add; '.
                round($anew).
                ' min from the start.',
        );
        $this->areas($work, $to);
        $this->remarks($work);

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private static function document(RaisedWork $work, PlanRequest $to): array
    {
        $words = new PlanWords($to);

        return [
            'to' => $to->tier->key,
            'sculpt' => $to->sculpt->name,
            'areas' => array_map(
                fn (RaisedArea $a) => [
                    'area' => $a->demand->area?->key,
                    'minutes' => $a->minutes(),
                    'grade_bar' => $a->gradeBar,
                    'repainted' => $a->repainted,
                    'over' => $a->over,
                    'added' => array_map(self::written(...), $a->added),
                    'lost' => array_map(self::written(...), $a->lost),
                    'conflict' => $a->conflict === null ? null : $words->conflict($a->conflict),
                ],
                $work->areas,
            ),
            'whole' => array_map(self::written(...), $work->whole),
            'varnished' => $work->isVarnished,
            'concerns' => array_map(fn (Technique $t) => $t->key, $work->concerns),
            'order' => array_map(fn (Step $s) => $s->key()->id, $work->work->steps),
            'colours' => array_map(fn (Step $s) => $s->colour?->words(), $work->work->steps),
            'minutes_by_passes' => $work->minutes(),
        ];
    }

    private function areas(RaisedWork $work, PlanRequest $to): void
    {
        $words = new PlanWords($to);
        $rows = [];
        foreach ($work->areas as $area) {
            if ($area->added !== [] || $area->lost !== [] || $area->conflict !== null || $area->over > 0) {
                $rows[] = [
                    $area->demand->area?->name,
                    round($area->minutes()),
                    self::names($area->added),
                    self::names($area->lost),
                    match (true) {
                        $area->conflict !== null => $words->conflict($area->conflict),
                        $area->repainted => 'painted anew, by brush',
                        $area->over > 0 => "$area->over steps over",
                        default => '',
                    },
                ];
            }
        }
        $this->table(['Area', 'min', 'Add', 'Covered or not counted any more', ''], $rows);
    }

    private function remarks(RaisedWork $work): void
    {
        if ($work->whole !== []) {
            $this->line('On the whole model: '.self::names($work->whole));
        }
        foreach ($work->concerns as $technique) {
            $this->line(
                "Note: there is $technique->name on it already: work around it, or do it again after what would ".
                    'cover it.',
            );
        }
        if ($work->isVarnished) {
            $this->line(
                'Note: it is varnished: new paint goes over the varnish, and it is varnished again at the end.',
            );
        }
        $order = array_map(
            fn (Step $s) => mb_strtolower($s->technique->name).' on '.($s->area->name ?? 'the whole model').
                ($s->colour === null ? '' : " in {$s->colour->words()}"),
            $work->work->steps,
        );
        if ($order !== []) {
            $this->line('In this order: '.implode(', ', $order).'.');
        }
    }

    /** @return array{technique: string, passes: int, extent: string, minutes: float} */
    private static function written(ChosenTechnique $u): array
    {
        return [
            'technique' => $u->technique->key,
            'passes' => $u->passes,
            'extent' => $u->extent->word(),
            'minutes' => $u->minutes(),
        ];
    }

    /** @param  list<ChosenTechnique>  $list */
    private static function names(array $list): string
    {
        return implode(', ', array_map(self::used(...), $list));
    }
}
