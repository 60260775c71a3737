<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Bench\Batch\BatchPainter;
use Ordotype\Core\Bench\Batch\BatchWork;
use Ordotype\Core\Bench\Batch\Bounds;
use Ordotype\Core\Bench\Batch\ExactOrder;
use Ordotype\Core\Bench\Batch\OwnMix;
use Ordotype\Core\Bench\Release;

/** How far batches worked in their own mix are from what nobody undercuts. */
final class BatchBench
{
    /** Pieces, painters, and the aims for the median and the worst gap in per cent, where there is one. */
    public const SIZES = [
        [10, 1, 14, null],
        [60, 1, null, 3],
        [40, 1, null, 6],
        [20, 1, 4, null],
        [60, 2, 4, 11],
        [60, 4, 10, 35],
    ];

    /** Up to here the gap is to the better of the bounds: drying leaves the plain ones far too low. */
    private const FEW = 10;

    /**
     * One size for every release: a row each, gap in per cent last but one, milliseconds last.
     *
     * @param  array<string, Release>  $releases  by what they are called
     * @return list<array{string, int, float, float, float, float, bool, float, float}> called, operations a piece,
     *     hand, chain, better bound, finish in minutes, whether it is proven, gap, time
     */
    public static function rows(array $releases, int $pieces, int $painters): array
    {
        $hands = array_map(fn (int $i) => new BatchPainter("painter $i"), range(1, $painters));
        $rows = [];
        foreach ($releases as $called => $release) {
            $start = hrtime(true);
            $batch = BatchWork::of($release, range(1, $pieces), $hands);
            $mix = OwnMix::of($batch);
            $mix = ExactOrder::of($batch, $mix) ?? $mix;
            $ms = (hrtime(true) - $start) / 1e6;
            $bounds = new Bounds($batch);
            $least = $pieces <= self::FEW ? $bounds->better : $bounds->plain();
            $rows[] = [
                $called,
                intdiv(count($batch->operations), $pieces),
                $bounds->hand,
                $bounds->chain,
                $bounds->better,
                $mix->finish,
                $mix->isProven,
                100 * ($mix->finish / $least - 1),
                $ms,
            ];
        }

        return $rows;
    }

    /** @param  list<array{string, int, float, float, float, float, bool, float, float}>  $rows */
    public static function summary(array $rows, int $pieces, int $painters, ?int $median, ?int $worst): string
    {
        $gaps = array_column($rows, 7);
        sort($gaps);
        $aim = fn (?int $aim): string => $aim === null ? '' : " (aim $aim)";

        return "$pieces pieces, ".
            ($painters === 1 ? 'one painter' : "$painters painters").
            sprintf(': over the %s bound by ', $pieces <= self::FEW ? 'better' : 'larger').
            sprintf('%.1f %%', $gaps[intdiv(count($gaps), 2)]).
            $aim($median).
            sprintf(' in the median, %.1f %%', $gaps[count($gaps) - 1]).
            $aim($worst).
            ' at worst.';
    }
}
