<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** Operations in orders that are given, one for each painter, each as early as the rules let it. */
final class FixedOrder
{
    /**
     * @param  list<list<int>>  $orders  by painter
     */
    public static function of(Batch $batch, array $orders): Timetable
    {
        $hands = new Hands($batch);
        $next = array_fill(0, count($orders), 0);
        while (! $hands->isDone()) {
            $best = null;
            foreach ($orders as $painter => $order) {
                $i = $order[$next[$painter]] ?? null;
                if ($i === null || ! $hands->isFree($i) || ! $hands->mayBegin($i)) {
                    continue;
                }
                $start = $hands->startOf($painter, $i);
                if ($start !== null && ($best === null || $start[0] < $best[1])) {
                    $best = [$painter, $start[0]];
                }
            }
            if ($best === null) {
                break;
            }
            [$painter] = $best;
            $hands->run($painter, [$orders[$painter][$next[$painter]]]);
            $next[$painter]++;
        }

        return $hands->timetable();
    }

    /** Each painter takes a piece and ends it before they take the next. */
    public static function pieceByPiece(Batch $batch): Timetable
    {
        return self::of($batch, self::shared($batch, fn (Operation $o) => [$o->piece, $o->turn]));
    }

    /** Each painter takes a step over all their pieces before they take the next. */
    public static function stepByStep(Batch $batch): Timetable
    {
        return self::of($batch, self::shared($batch, fn (Operation $o) => [$o->turn, $o->piece]));
    }

    /**
     * @param  callable(Operation): array{int, int}  $by
     * @return list<list<int>> pieces dealt over the painters in turn
     */
    private static function shared(Batch $batch, callable $by): array
    {
        $painters = count($batch->painters);
        $dealt = array_flip($batch->pieces());
        $orders = array_fill(0, $painters, []);
        foreach ($batch->operations as $i => $operation) {
            $orders[$dealt[$operation->piece] % $painters][] = $i;
        }
        foreach ($orders as &$order) {
            usort($order, fn (int $a, int $b) => $by($batch->operations[$a]) <=> $by($batch->operations[$b]));
        }

        return array_values($orders);
    }
}
