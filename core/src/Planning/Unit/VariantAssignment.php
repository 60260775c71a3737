<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Standard\AmendmentSpread;

/** Deals what only some pieces of a unit get, so that equal ones stand apart from one another. */
final class VariantAssignment
{
    /**
     * The places of k among n, as far from one another as they can be; `turn` shifts them round, so that two deals of
     * the same size do not meet on the same pieces.
     *
     * @return list<int> from 0, rising
     */
    public static function evenly(int $n, int $k, int $turn = 0): array
    {
        $k = max(0, min($n, $k));
        $places = [];
        for ($i = 0; $i < $k; $i++) {
            $places[] = (intdiv((2 * $i + 1) * $n, 2 * $k) + $turn) % $n;
        }
        sort($places);

        return $places;
    }

    /** How many of n a spread means: shares are rounded to the nearest, halves up. */
    public static function count(AmendmentSpread $spread, int $n): int
    {
        return $spread->pieces === null
            ? (int) floor(($spread->share ?? 0.0) * $n + 0.5 + 1e-9)
            : min($n, $spread->pieces);
    }

    /**
     * One of several variants for each of n pieces, by share: each place goes to the variant that is furthest behind
     * its share so far, so that equal ones are spread out. What the shares leave is nobody's.
     *
     * @param  list<float>  $shares  each 0 to 1; together at most 1
     * @return list<int|null> by piece: the place of its variant, null for none
     */
    public static function byShare(int $n, array $shares): array
    {
        $rest = 1.0 - array_sum($shares);
        $weights = $rest > 1e-9 ? [...$shares, $rest] : $shares;
        if ($weights === []) {
            return array_fill(0, $n, null);
        }
        $dealt = array_fill(0, count($weights), 0);
        $pieces = [];
        for ($i = 1; $i <= $n; $i++) {
            $most = 0;
            foreach ($weights as $v => $weight) {
                if ($weight * $i - $dealt[$v] > $weights[$most] * $i - $dealt[$most] + 1e-9) {
                    $most = $v;
                }
            }
            $dealt[$most]++;
            $pieces[] = $most < count($shares) ? $most : null;
        }

        return $pieces;
    }
}
