<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/** Work on rectangles of numbers, row by row: distances, blurs, enlarging. */
final class Grid
{
    private const FAR = 1e12;

    /**
     * How far each cell lies from the nearest cell that is not set, exactly, in cells; 0 where it is not set itself.
     * Two passes of the lower envelope of parabolas (Felzenszwalb and Huttenlocher 2012).
     *
     * @param  array<int, bool>  $set
     * @return array<int, float>
     */
    public static function distances(array $set, int $width, int $height): array
    {
        $squares = array_map(fn (bool $in) => $in ? self::FAR : 0.0, $set);
        for ($x = 0; $x < $width; $x++) {
            $column = [];
            for ($y = 0; $y < $height; $y++) {
                $column[] = $squares[$y * $width + $x];
            }
            foreach (self::envelope($column) as $y => $value) {
                $squares[$y * $width + $x] = $value;
            }
        }
        $distances = [];
        for ($y = 0; $y < $height; $y++) {
            foreach (self::envelope(array_slice($squares, $y * $width, $width)) as $value) {
                $distances[] = sqrt($value);
            }
        }

        return $distances;
    }

    /**
     * @param  array<int, float>  $f
     * @return array<int, float> min over q of (p − q)² + f(q)
     */
    private static function envelope(array $f): array
    {
        $n = count($f);
        $at = [0];
        $from = [-self::FAR];
        $k = 0;
        for ($q = 1; $q < $n; $q++) {
            do {
                $p = $at[$k];
                $s = ($f[$q] + $q * $q - $f[$p] - $p * $p) / (2 * ($q - $p));
            } while ($s <= $from[$k] && --$k >= 0);
            $k++;
            $at[$k] = $q;
            $from[$k] = $k === 0 ? -self::FAR : $s;
        }
        $last = $k;
        $out = [];
        for ($p = 0, $k = 0; $p < $n; $p++) {
            while ($k < $last && $from[$k + 1] < $p) {
                $k++;
            }
            $q = $at[$k];
            $out[] = ($p - $q) * ($p - $q) + $f[$q];
        }

        return $out;
    }

    /**
     * Means over squares of 2·radius + 1, twice: close to a bell of that width.
     *
     * @param  array<int, float>  $values
     * @return array<int, float>
     */
    public static function blurred(array $values, int $width, int $height, int $radius): array
    {
        if ($radius < 1) {
            return $values;
        }
        for ($pass = 0; $pass < 2; $pass++) {
            $values = self::acrossRows($values, $width, $height, min($radius, max(1, $width - 1)));
            $values = self::downColumns($values, $width, $height, min($radius, max(1, $height - 1)));
        }

        return $values;
    }

    /**
     * @param  array<int, float>  $values
     * @return array<int, float>
     */
    private static function acrossRows(array $values, int $width, int $height, int $radius): array
    {
        $over = 1 / (2 * $radius + 1);
        $out = [];
        for ($y = 0; $y < $height; $y++) {
            $row = $y * $width;
            $last = $row + $width - 1;
            $sum = $values[$row] * ($radius + 1);
            for ($k = 1; $k <= $radius; $k++) {
                $sum += $values[min($last, $row + $k)];
            }
            for ($i = $row; $i <= $last; $i++) {
                $out[] = $sum * $over;
                $in = $i + $radius + 1;
                $gone = $i - $radius;
                $sum += $values[$in > $last ? $last : $in] - $values[$gone < $row ? $row : $gone];
            }
        }

        return $out;
    }

    /**
     * @param  array<int, float>  $values
     * @return array<int, float>
     */
    private static function downColumns(array $values, int $width, int $height, int $radius): array
    {
        $over = 1 / (2 * $radius + 1);
        $sums = [];
        for ($x = 0; $x < $width; $x++) {
            $sum = $values[$x] * ($radius + 1);
            for ($k = 1; $k <= $radius; $k++) {
                $sum += $values[min($height - 1, $k) * $width + $x];
            }
            $sums[] = $sum;
        }
        $out = [];
        for ($y = 0; $y < $height; $y++) {
            $in = min($height - 1, $y + $radius + 1) * $width;
            $gone = max(0, $y - $radius) * $width;
            for ($x = 0; $x < $width; $x++) {
                $out[] = $sums[$x] * $over;
                $sums[$x] += $values[$in + $x] - $values[$gone + $x];
            }
        }

        return $out;
    }

    /**
     * A coarse grid made fine without creases: quadratic B-splines, which have no kinks in their slopes.
     *
     * @param  array<int, float>  $values  of the coarse grid
     * @param  int  $cell  fine cells to a coarse one
     * @return array<int, float> of the fine grid, which begins where the coarse one does
     */
    public static function enlarged(array $values, int $columns, int $rows, int $cell, int $width, int $height): array
    {
        $weights = [];
        for ($k = 0; $k < $cell; $k++) {
            $t = ($k + 0.5) / $cell;
            $weights[] = [0.5 * (1 - $t) * (1 - $t), 0.75 - ($t - 0.5) * ($t - 0.5), 0.5 * $t * $t];
        }
        $out = [];
        for ($y = 0; $y < $height; $y++) {
            $at = min($rows - 1, intdiv($y, $cell));
            [$w0, $w1, $w2] = $weights[$y % $cell];
            $above = max(0, $at - 1) * $columns;
            $here = $at * $columns;
            $below = min($rows - 1, $at + 1) * $columns;
            $row = [];
            for ($x = 0; $x < $columns; $x++) {
                $row[] = $w0 * $values[$above + $x] + $w1 * $values[$here + $x] + $w2 * $values[$below + $x];
            }
            for ($x = 0; $x < $width; $x++) {
                $at = min($columns - 1, intdiv($x, $cell));
                $w = $weights[$x % $cell];
                $out[] =
                    $w[0] * $row[$at > 0 ? $at - 1 : 0] +
                    $w[1] * $row[$at] +
                    $w[2] * $row[$at + 1 < $columns ? $at + 1 : $at];
            }
        }

        return $out;
    }
}
