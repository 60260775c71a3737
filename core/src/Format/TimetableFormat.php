<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Bench\Batch\Batch;
use Ordotype\Core\Bench\Batch\BatchPainter;
use Ordotype\Core\Bench\Batch\Bounds;
use Ordotype\Core\Bench\Batch\FixedOrder;
use Ordotype\Core\Bench\Batch\Lag;
use Ordotype\Core\Bench\Batch\Operation;
use Ordotype\Core\Bench\Batch\Run;
use Ordotype\Core\Bench\Batch\Timetable;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use stdClass;

/** Writes `ordotype/timetable@1`, and reads the people of `ordotype/people@1` who work by it. */
final class TimetableFormat
{
    public const WORD = 'ordotype/timetable@1';

    private const PEOPLE = 'ordotype/people@1';

    private const DAY_MIN = 1440.0;

    public static function write(Batch $batch, Timetable $timetable): stdClass
    {
        $bounds = new Bounds($batch);

        return (object) [
            'format' => self::WORD,
            'unit' => 'min',
            'people' => array_map(fn (BatchPainter $p) => $p->key, $batch->painters),
            'operations' => array_map(
                fn (Operation $o, int $i) => (object) [
                    'id' => $i,
                    'piece' => $o->piece,
                    'steps' => $o->steps,
                    'station' => $o->isSprayed ? 'spray' : 'brush',
                    'minutes' => round($o->minutes, 3),
                    'setup' => $o->setup,
                    'pot' => $o->pot,
                    'skill' => $o->skill,
                    'begins_piece' => $o->begins,
                ],
                $batch->operations,
                array_keys($batch->operations),
            ),
            'edges' => array_map(
                fn (Lag $l) => (object) [
                    'from' => $l->from,
                    'to' => $l->to,
                    'lag' => $l->minutes,
                    'why' => $l->why->value,
                    'wet' => $l->wet,
                ],
                $batch->lags,
            ),
            'runs' => array_map(
                fn (Run $r, int $n) => self::run($r, $n + 1, $batch, $timetable),
                $timetable->runs,
                array_keys($timetable->runs),
            ),
            'finish' => round($timetable->finish, 3),
            'changes_of_pot' => $timetable->changes(),
            'waiting' => round($timetable->waiting, 3),
            'compared' => (object) [
                'piece_by_piece' => self::way(FixedOrder::pieceByPiece($batch)),
                'step_by_step' => self::way(FixedOrder::stepByStep($batch)),
                'own_mix' => self::way($timetable),
            ],
            'bounds' => (object) [
                'hand' => round($bounds->hand, 3),
                'chain' => round($bounds->chain, 3),
                'better' => round($bounds->better, 3),
            ],
            'proven' => $timetable->isProven,
            'left' => $timetable->left,
        ];
    }

    /**
     * Painters with their hours in minutes from the first day's midnight, the guns there are, and whether there is a
     * fan.
     *
     * @return array{non-empty-list<BatchPainter>, int, bool}
     *
     * @throws FormatException naming every path that is wrong and why
     */
    public static function people(mixed $document): array
    {
        $problems = new Problems();
        $root = Node::root($document, $problems);
        $root->keys(['format', 'people'], ['stations', 'fan', 'gates', 'test_model']);
        $root->format(self::PEOPLE);
        $people = $root->list('people');
        $first = null;
        foreach ($people as $person) {
            foreach ($person->has('days') ? $person->list('days') : [] as $day) {
                $date = self::day($day);
                $first = $first === null || $date < $first ? $date : $first;
            }
        }
        $painters = array_map(fn (Node $p) => self::painter($p, $first ?? 0), $people);
        if ($painters === []) {
            $root->get('people')->problem('must name somebody');
        }
        $guns = $root->has('stations') ? $root->get('stations')->int('spray', 1, 99) : 1;
        $fan = $root->has('fan') && $root->bool('fan');
        $problems->refuse();
        assert($painters !== []);

        return [$painters, $guns, $fan];
    }

    private static function painter(Node $person, int $first): BatchPainter
    {
        $hours = $days = [];
        foreach ($person->has('days') ? $person->list('days') : [] as $day) {
            $no = self::day($day) - $first;
            $hours[] = [$no * self::DAY_MIN + self::clock($day, 'from'), $no * self::DAY_MIN + self::clock($day, 'to')];
            $days[] = $no;
        }
        $largest = $person->has('largest_batch') && ! $person->isNull('largest_batch')
            ? $person->int('largest_batch', 1, 10_000)
            : null;

        return new BatchPainter($person->string('key'), $person->int('skill', 1, 5), $largest, $hours, $days);
    }

    /** Days since 1970, whatever the zone. */
    private static function day(Node $day): int
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $day->string('date'), $m) !== 1) {
            $day->get('date')->problem('must be a day such as 2026-12-01');

            return 0;
        }

        return intdiv((int) gmmktime(12, 0, 0, (int) $m[2], (int) $m[3], (int) $m[1]), 86_400);
    }

    private static function clock(Node $day, string $key): float
    {
        if (preg_match('/^([01]?\d|2[0-4]):([0-5]\d)$/D', $day->string($key), $m) !== 1) {
            $day->get($key)->problem('must be an hour such as 09:30');

            return 0.0;
        }

        return 60.0 * (int) $m[1] + (int) $m[2];
    }

    private static function run(Run $run, int $no, Batch $batch, Timetable $timetable): stdClass
    {
        return (object) [
            'no' => $no,
            'person' => $batch->painters[$run->painter]->key,
            'pot' => $run->pot,
            'from' => round($run->from, 3),
            'to' => round($run->to, 3),
            'setup' => $run->setup,
            'operations' => array_map(
                fn (int $i) => (object) [
                    'id' => $i,
                    'from' => round($timetable->starts[$i], 3),
                    'to' => round($timetable->starts[$i] + $batch->operations[$i]->minutes, 3),
                ],
                $run->operations,
            ),
        ];
    }

    private static function way(Timetable $timetable): stdClass
    {
        return (object) [
            'finish' => round($timetable->finish, 3),
            'waiting' => round($timetable->waiting, 3),
            'changes_of_pot' => $timetable->changes(),
        ];
    }
}
