<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/**
 * What a painter does now: their next run of the timetable in force where each piece of it is dry at its turn; else the
 * first of theirs that is; else another's that is not begun; else nothing, until when.
 */
final readonly class NextRun
{
    /**
     * @param  array{int, list<int>}|null  $run  whose it is, and its operations; what comes next where they wait
     * @param  float|null  $until  minutes at which it can begin, where they wait
     * @param  Lag|null  $held  what the run that would be next waits for, where that is paint or an answer
     */
    private function __construct(public NextWhy $why, public ?array $run, public ?float $until, public ?Lag $held)
    {
    }

    public static function of(Batch $batch, InForce $force, Progress $progress, int $painter): self
    {
        $hands = new Hands($batch, $progress);
        $own = array_values(array_filter($force->runs, fn (array $run) => $run[0] === $painter));
        $held = $own === [] ? null : self::held($batch, $progress, $own[0][1]);
        foreach ($own as $n => $run) {
            if (self::isDry($hands, $run[1], $painter, $progress->now)) {
                return new self($n === 0 ? NextWhy::Turn : NextWhy::Ahead, $run, null, $n === 0 ? null : $held);
            }
        }
        foreach ($force->runs as $run) {
            $isBegun = self::isBegun($batch, $progress, $run);
            if ($run[0] !== $painter && ! $isBegun && self::isDry($hands, $run[1], $painter, $progress->now)) {
                return new self(NextWhy::ForAnother, $run, null, $held);
            }
        }
        if ($own === []) {
            return new self(NextWhy::Through, null, null, null);
        }
        $starts = array_map(fn (array $run) => min(self::startsOf($force->timetable, $run[1])), $own);
        $soonest = (int) array_search(min($starts), $starts, true);

        $until = is_finite($starts[$soonest]) ? $starts[$soonest] : null;

        return new self(NextWhy::Waiting, $own[$soonest], $until, $held);
    }

    /** @param  list<int>  $operations */
    private static function isDry(Hands $hands, array $operations, int $painter, float $now): bool
    {
        $turn = $now;
        $skill = $hands->batch->painters[$painter]->skill;
        foreach ($operations as $n => $i) {
            $operation = $hands->batch->operations[$i];
            if ($n === 0) {
                $turn += $hands->setupFor($painter, $i);
            }
            $ready = $hands->free[$operation->turn][$i] ?? INF;
            if ($hands->batch->skills[$i] > $skill || $ready > $turn + 1e-6 || ($n === 0 && ! $hands->mayBegin($i))) {
                // The second of a wet pair becomes free with the first.
                if ($n === 0 || ! self::isWetPair($hands->batch, $operations[$n - 1], $i)) {
                    return false;
                }
            }
            $turn += $operation->minutes;
        }

        return $operations !== [];
    }

    private static function isWetPair(Batch $batch, int $first, int $second): bool
    {
        foreach ($batch->after[$first] as $lag) {
            if ($lag->to === $second && $lag->wet !== null) {
                return true;
            }
        }

        return false;
    }

    /** @param  array{int, list<int>}  $run */
    private static function isBegun(Batch $batch, Progress $progress, array $run): bool
    {
        $hand = $progress->inHand[$run[0]] ?? null;

        return $hand !== null && in_array($hand, $run[1], true);
    }

    /**
     * What holds a run longest.
     *
     * @param  list<int>  $operations
     */
    private static function held(Batch $batch, Progress $progress, array $operations): ?Lag
    {
        $held = null;
        $until = $progress->now;
        foreach ($operations as $i) {
            foreach ($batch->before[$i] as $lag) {
                $done = $progress->done[$lag->from] ?? null;
                $free = $done === null ? INF : $done[0] + $lag->minutes;
                if ($free > $until) {
                    [$until, $held] = [$free, $lag];
                }
            }
        }

        return $held;
    }

    /**
     * @param  list<int>  $operations
     * @return non-empty-list<float>
     */
    private static function startsOf(Timetable $timetable, array $operations): array
    {
        return [...array_map(fn (int $i) => $timetable->starts[$i], $operations), INF];
    }
}
