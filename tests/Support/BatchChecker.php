<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Bench\Batch\Batch;
use Ordotype\Core\Bench\Batch\Progress;
use Ordotype\Core\Bench\Batch\Timetable;

/** What is wrong with a timetable, read from the page and not from what lays it out. */
final class BatchChecker
{
    private const SLACK = 1e-6;

    /** @return list<string> */
    public static function problems(Batch $batch, Timetable $timetable, Progress $progress = new Progress()): array
    {
        $wrong = [];
        $who = $at = [];
        foreach ($progress->done as $i => [$end, $by]) {
            [$at[$i], $who[$i]] = [$end - $batch->operations[$i]->minutes, $by ?? -1];
        }
        foreach ($timetable->runs as $run) {
            foreach ($run->operations as $i) {
                if (isset($who[$i])) {
                    $wrong[] = "operation $i is done twice";
                }
                $who[$i] = $run->painter;
                $at[$i] = $timetable->starts[$i];
                if ($at[$i] < $progress->now - self::SLACK) {
                    $wrong[] = "operation $i begins before now";
                }
            }
        }
        foreach ($batch->operations as $i => $operation) {
            if (! isset($who[$i])) {
                $wrong[] = "operation $i is not done";

                continue;
            }
            if (isset($progress->done[$i])) {
                continue;
            }
            if ($batch->painters[$who[$i]]->skill < $operation->skill) {
                $wrong[] = "operation $i is above the painter's skill";
            }
            $end = $at[$i] + $operation->minutes;
            $hours = $batch->painters[$who[$i]]->hours;
            $within = array_filter($hours, fn (array $h) => $at[$i] >= $h[0] - self::SLACK && $end <= $h[1] + self::SLACK);
            if ($hours !== [] && $within === []) {
                $wrong[] = "operation $i lies outside the painter's hours";
            }
            if ($end > $timetable->finish + self::SLACK) {
                $wrong[] = "operation $i ends after the finish";
            }
        }
        foreach ($batch->lags as $lag) {
            $isPast = isset($progress->done[$lag->from], $progress->done[$lag->to]);
            if (isset($at[$lag->from], $at[$lag->to]) && ! $isPast) {
                $gap = $at[$lag->to] - $at[$lag->from] - $batch->operations[$lag->from]->minutes;
                if ($gap < $lag->minutes - self::SLACK) {
                    $wrong[] = "$lag->to comes too soon after $lag->from";
                }
                if ($lag->wet !== null && $gap > $lag->wet + self::SLACK) {
                    $wrong[] = "$lag->to comes when $lag->from is dry";
                }
            }
        }

        return [
            ...$wrong,
            ...self::overlaps($batch, $at, fn (int $i) => 'piece '.$batch->operations[$i]->piece, 1),
            ...self::overlaps(
                $batch,
                array_filter($at, fn (int $i) => $batch->operations[$i]->isSprayed, ARRAY_FILTER_USE_KEY),
                fn (int $i) => 'guns',
                $batch->guns,
            ),
            ...self::hands($batch, $at, $who),
            ...self::largest($batch, $at, $progress->now),
        ];
    }

    /**
     * @param  array<int, float>  $at
     * @param  callable(int): string  $of
     * @return list<string>
     */
    private static function overlaps(Batch $batch, array $at, callable $of, int $most): array
    {
        $wrong = [];
        foreach ($at as $i => $start) {
            $same = array_filter(
                $at,
                fn (float $s, int $j) => $of($i) === $of($j) && $s <= $start + self::SLACK &&
                    $start < $s + $batch->operations[$j]->minutes - self::SLACK,
                ARRAY_FILTER_USE_BOTH,
            );
            if (count($same) > $most) {
                $wrong[] = $of($i).": more at once than can be, at operation $i";
            }
        }

        return $wrong;
    }

    /**
     * Each painter does one thing at a time, and lays out a pot that is not in hand.
     *
     * @param  array<int, float>  $at
     * @param  array<int, int>  $who
     * @return list<string>
     */
    private static function hands(Batch $batch, array $at, array $who): array
    {
        $wrong = [];
        asort($at);
        foreach (array_keys($batch->painters) as $painter) {
            [$free, $pot, $isLaidOut] = [0.0, null, []];
            foreach (array_keys(array_filter($at, fn (int $i) => $who[$i] === $painter, ARRAY_FILTER_USE_KEY)) as $i) {
                $operation = $batch->operations[$i];
                // The second of a wet pair has its pot laid out before the first.
                $isPair = array_filter($batch->before[$i], fn ($l) => $l->wet !== null) !== [];
                $setup = $pot === $operation->pot || $isPair ? 0.0 : $operation->setup;
                if ($at[$i] < $free + $setup - self::SLACK) {
                    $wrong[] = "painter $painter has no hand free for operation $i";
                }
                $free = $at[$i] + $operation->minutes;
                $pot = $operation->pot;
            }
        }

        return $wrong;
    }

    /**
     * @param  array<int, float>  $at
     * @return list<string>
     */
    private static function largest(Batch $batch, array $at, float $now): array
    {
        $most = $batch->largest();
        if ($most === null) {
            return [];
        }
        $spans = [];
        foreach ($at as $i => $start) {
            $operation = $batch->operations[$i];
            $end = $start + $operation->minutes;
            $span = $spans[$operation->piece] ?? [INF, 0.0];
            $spans[$operation->piece] = [
                $operation->begins ? min($span[0], $start) : $span[0],
                max($span[1], $end),
            ];
        }
        $wrong = [];
        foreach ($spans as $piece => [$begun]) {
            $open = array_filter($spans, fn (array $s) => $s[0] <= $begun && $begun < $s[1] - self::SLACK);
            if ($begun < INF && $begun >= $now && count($open) > $most) {
                $wrong[] = "too many pieces are begun with piece $piece";
            }
        }

        return $wrong;
    }
}
