<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Outlook\RaisedArea;
use Ordotype\Core\Outlook\Raising;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Sequencing\Step;
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
        {--shelf= : CSV of paints}
        {--steps= : how many steps of its order of work are done; all when left out}
        {--json : print JSON}';

    protected $description =
        'Work out what to add to finished work so that it meets a higher tier in the '.'fewest added minutes';

    protected function work(): int
    {
        $standard = $this->standard($this->needed('standard'));
        $request = fn (string $tier) => new PlanRequest(
            $standard,
            $standard->tier($tier),
            $this->sculpt($this->needed('sculpt')),
            $this->scheme(),
            $this->method(),
            [],
            $this->shelf(),
        );
        $done = $this->planner()->plan($request($this->needed('from')));
        $to = $request($this->needed('to'));
        $steps = array_map(fn (Step $s) => $s->key(), $done->work->steps);
        $words = new PlanWords($to);
        $so =
            $this->file('steps') === null ? $steps : array_slice($steps, 0, $this->wholeNumber('steps', 0, 100_000));
        $raising = new Raising(
            $to,
            count($so) === count($steps) ? Raising::workOf($done) : Raising::workSoFar($done, $so),
        );
        $work = $raising->work();
        $areas = $work->areas;
        $minutes =
            array_sum(array_map(fn (RaisedArea $a) => $a->minutes(), $areas)) +
            array_sum(array_map(fn (ChosenTechnique $u) => $u->minutes(), $work->whole));
        if ($this->option('json') === true) {
            $this->line(
                Json::encode([
                    'from' => $done->request->tier->key,
                    'to' => $to->tier->key,
                    'sculpt' => $to->sculpt->name,
                    'minutes' => $minutes,
                    'anew' => $this->planner()->plan($to)->minutesByArea(),
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
                        $areas,
                    ),
                    'whole' => array_map(self::written(...), $work->whole),
                    'varnished' => $work->isVarnished,
                    'concerns' => array_map(fn ($t) => $t->key, $work->concerns),
                    'order' => array_map(fn (Step $s) => $s->key()->id, $work->work->steps),
                    'minutes_by_passes' => $work->minutes(),
                ]),
            );

            return self::SUCCESS;
        }
        $this->line(
            "{$to->sculpt->name}, from {$done->request->tier->name} to {$to->tier->name}: ".
                round($minutes).
                ' min to add; '.
                round($this->planner()->plan($to)->minutesByArea()).
                ' min from the start.',
        );
        $this->table(
            ['Area', 'min', 'Add', 'Covered or not counted any more', ''],
            array_map(
                fn (RaisedArea $a) => [
                    $a->demand->area?->name,
                    round($a->minutes()),
                    self::names($a->added),
                    self::names($a->lost),
                    $a->conflict !== null
                        ? $words->conflict($a->conflict)
                        : ($a->repainted
                            ? 'painted anew, by brush'
                            : ($a->over > 0
                                ? "$a->over steps over"
                                : '')),
                ],
                array_values(
                    array_filter(
                        $areas,
                        fn (RaisedArea $a) => $a->added !== [] ||
                            $a->lost !== [] ||
                            $a->conflict !== null ||
                            $a->over > 0,
                    ),
                ),
            ),
        );
        if ($work->whole !== []) {
            $this->line('On the whole model: '.self::names($work->whole));
        }
        foreach ($work->concerns as $technique) {
            $this->line(
                "Note: there is $technique->name on it already: work around it, or do it again ".
                    'after what would cover it.',
            );
        }
        if ($work->isVarnished) {
            $this->line(
                'Note: it is varnished: new paint goes over the varnish, and it is varnished again at the end.',
            );
        }

        if ($work->work->steps !== []) {
            $this->line(
                'In this order: '.
                    implode(
                        ', ',
                        array_map(
                            fn (Step $s) => mb_strtolower($s->technique->name).
                                ' on '.
                                ($s->area->name ?? 'the whole model'),
                            $work->work->steps,
                        ),
                    ).
                    '.',
            );
        }

        return self::SUCCESS;
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
        return implode(
            ', ',
            array_map(
                fn (ChosenTechnique $u) => mb_strtolower($u->technique->name).
                    ($u->extent->word() === 'full' ? '' : " ({$u->extent->word()})").
                    ($u->passes > 1 ? " ×$u->passes" : ''),
                $list,
            ),
        );
    }
}
