<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/**
 * The timetable that a batch is worked by, moved to how far it has come: the same runs in the same order, each as early
 * as the rules let it. A run that its painter has left for another keeps what is open of it as a run of its own, and
 * the pieces of that leave the runs after it until they are level.
 */
final readonly class InForce
{
    /** A new timetable takes the place of the old one when it ends sooner by this share of the time that is left. */
    public const SOONER = 0.02;

    /**
     * @param  list<array{int, list<int>}>  $runs  what is left of them: painter and operations, in the order in which
     *     they were to begin
     * @param  Timetable  $timetable  of what is left
     */
    private function __construct(public array $runs, public Timetable $timetable)
    {
    }

    /**
     * @param  list<array{int, list<int>}>  $runs  painter and operations of each run, in the order in which they begin;
     *     operations that are in none are somebody's whom nobody has
     */
    public static function of(Batch $batch, array $runs, Progress $progress): self
    {
        $left = self::left($batch, $runs, $progress);

        return new self($left, self::laid($batch, $left, $progress));
    }

    /**
     * The runs of a timetable as they are kept.
     *
     * @return list<array{int, list<int>}>
     */
    public static function runsOf(Timetable $timetable): array
    {
        return array_map(fn (Run $r) => [$r->painter, $r->operations], $timetable->runs);
    }

    /**
     * A new timetable from how far the batch has come, where it ends sooner by enough or the old one cannot go on.
     *
     * @return Timetable|null null: the old one stays
     */
    public function anew(Batch $batch, Progress $progress): ?Timetable
    {
        $new = OwnMix::from($batch, $progress);
        $old = $this->timetable;
        $enough = self::SOONER * max(0.0, $old->finish - $progress->now);

        return count($new->left) < count($old->left) ||
            (count($new->left) === count($old->left) && $new->finish < $old->finish - $enough - 1e-9)
            ? $new
            : null;
    }

    /**
     * @param  list<array{int, list<int>}>  $runs
     * @return list<array{int, list<int>}>
     */
    private static function left(Batch $batch, array $runs, Progress $progress): array
    {
        $latest = self::latest($runs, $progress);
        $left = $behind = [];
        foreach ($runs as $n => [$painter, $operations]) {
            $open = array_values(array_filter($operations, fn (int $i) => ! isset($progress->done[$i])));
            if ($open === []) {
                continue;
            }
            if ($n < ($latest[$painter] ?? 0)) {
                foreach ($open as $i) {
                    $behind[$batch->operations[$i]->piece] = true;
                }
                $left[] = [$painter, $open];

                continue;
            }
            // What is begun goes on without them; once it is done on them too they are level with the rest.
            $late = $n === ($latest[$painter] ?? null)
                ? array_values(array_filter($open, fn (int $i) => isset($behind[$batch->operations[$i]->piece])))
                : [];
            $left[] = [$painter, array_values(array_diff($open, $late))];
            if ($late !== []) {
                $left[] = [$painter, $late];
            }
        }

        return array_values(array_filter($left, fn (array $run) => $run[1] !== []));
    }

    /**
     * @param  list<array{int, list<int>}>  $runs
     * @return array<int, int> by painter: the run that they began last
     */
    private static function latest(array $runs, Progress $progress): array
    {
        $latest = $at = [];
        foreach ($runs as $n => [$painter, $operations]) {
            foreach ($operations as $i) {
                [$ends, $by] = $progress->done[$i] ?? [-INF, null];
                if ($by === $painter && $ends > ($at[$painter] ?? -INF)) {
                    [$latest[$painter], $at[$painter]] = [$n, $ends];
                }
            }
            $hand = $progress->inHand[$painter] ?? null;
            if ($hand !== null && in_array($hand, $operations, true)) {
                [$latest[$painter], $at[$painter]] = [$n, INF];
            }
        }

        return $latest;
    }

    /** @param  list<array{int, list<int>}>  $runs */
    private static function laid(Batch $batch, array $runs, Progress $progress): Timetable
    {
        $queues = array_fill(0, count($batch->painters), []);
        foreach ($runs as $n => [$painter, $operations]) {
            foreach ($operations as $i) {
                $queues[$painter][] = [$i, $n];
            }
        }
        $hands = new Hands($batch, $progress);
        $of = [];
        while (! $hands->isDone()) {
            $best = self::soonest($hands, $queues);
            if ($best === null) {
                break;
            }
            [$painter, $place] = $best;
            [[$i, $n]] = array_splice($queues[$painter], $place, 1);
            if ($hands->run($painter, [$i]) > 0) {
                $of[] = $n;
            }
        }

        return self::joined($hands->timetable(), $hands->runs, $of);
    }

    /**
     * What begins soonest of what is first in each painter's hand; where no first can be begun, because as many pieces
     * are begun as may be, the first that can.
     *
     * @param  array<int, list<array{int, int}>>  $queues  by painter: operations and their runs
     * @return array{int, int}|null painter, place in their queue
     */
    private static function soonest(Hands $hands, array &$queues): ?array
    {
        $best = null;
        $least = INF;
        $most = max([0, ...array_map(count(...), $queues)]);
        for ($place = 0; $place < $most && $best === null; $place++) {
            foreach ($queues as $painter => $queue) {
                // What went into wet paint was done with the first of the pair.
                while ($place === 0 && isset($queue[0]) && isset($hands->starts[$queue[0][0]])) {
                    array_shift($queue);
                    $queues[$painter] = $queue;
                }
                $i = $queue[$place][0] ?? null;
                $isFree = $i !== null && $hands->isFree($i) && $hands->mayBegin($i);
                $start = $isFree ? $hands->startOf($painter, $i) : null;
                if ($start !== null && $start[0] < $least) {
                    [$best, $least] = [[$painter, $place], $start[0]];
                }
            }
        }

        return $best;
    }

    /**
     * Pieces of one run that lie one after the other are one run again.
     *
     * @param  list<Run>  $single  as they were laid
     * @param  list<int>  $of  the run that each is of
     */
    private static function joined(Timetable $timetable, array $single, array $of): Timetable
    {
        $runs = $last = [];
        foreach ($single as $s => $run) {
            $before = $last[$run->painter] ?? null;
            if ($before !== null && $of[$before[1]] === $of[$s] && ! $run->isChange) {
                $first = $runs[$before[0]];
                $runs[$before[0]] = new Run(
                    $run->painter,
                    $run->pot,
                    $first->from,
                    $run->to,
                    $first->setup + $run->setup,
                    $first->isChange,
                    [...$first->operations, ...$run->operations],
                    $first->waited + $run->waited,
                );
                $last[$run->painter] = [$before[0], $s];
            } else {
                $runs[] = $run;
                $last[$run->painter] = [count($runs) - 1, $s];
            }
        }
        usort($runs, fn (Run $a, Run $b) => [$a->from, $a->painter] <=> [$b->from, $b->painter]);

        return new Timetable($runs, $timetable->starts, $timetable->finish, $timetable->waiting, $timetable->left);
    }
}
