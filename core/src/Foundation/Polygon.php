<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/** Closed lines of points in the plane. */
final class Polygon
{
    /**
     * The least distance of points from a ring's line, where one unit of x is so wide and one of y so high.
     *
     * @param  list<array{float, float}>  $points
     * @param  list<array{float, float}>  $ring
     */
    public static function distance(array $points, array $ring, float $width, float $height): float
    {
        $least = INF;
        $n = count($ring);
        foreach ($points as [$x, $y]) {
            for ($i = 0; $i < $n; $i++) {
                [$ax, $ay] = [($ring[$i][0] - $x) * $width, ($ring[$i][1] - $y) * $height];
                [$bx, $by] = [($ring[($i + 1) % $n][0] - $x) * $width, ($ring[($i + 1) % $n][1] - $y) * $height];
                $length = ($bx - $ax) ** 2 + ($by - $ay) ** 2;
                $t = $length <= 0.0 ? 0.0 : max(0.0, min(1.0, -($ax * ($bx - $ax) + $ay * ($by - $ay)) / $length));
                $least = min($least, hypot($ax + $t * ($bx - $ax), $ay + $t * ($by - $ay)));
            }
        }

        return $least;
    }

    /**
     * By an odd number of crossings to the right of the point (even-odd rule).
     *
     * @param  list<array{float, float}>  $ring
     * @param  array{float, float}  $point
     */
    public static function contains(array $ring, array $point): bool
    {
        $inside = false;
        $n = count($ring);
        for ($i = 0, $j = $n - 1; $i < $n; $j = $i++) {
            if (
                $ring[$i][1] > $point[1] !== $ring[$j][1] > $point[1] &&
                $point[0] <
                    (($ring[$j][0] - $ring[$i][0]) * ($point[1] - $ring[$i][1])) / ($ring[$j][1] - $ring[$i][1]) +
                        $ring[$i][0]
            ) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }

    /** @param  list<array{float, float}>  $ring */
    public static function crossesItself(array $ring): bool
    {
        $n = count($ring);
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 2; $j < $n; $j++) {
                if ($i === 0 && $j === $n - 1) {
                    continue; // neighbours round the end
                }
                [$a, $b, $c, $d] = [$ring[$i], $ring[$i + 1], $ring[$j], $ring[($j + 1) % $n]];
                if (
                    self::side($a, $b, $c) * self::side($a, $b, $d) < 0 &&
                    self::side($c, $d, $a) * self::side($c, $d, $b) < 0
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * On which side of the line from a to b the point c lies: the sign of the cross product.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function side(array $a, array $b, array $c): float
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
    }
}
