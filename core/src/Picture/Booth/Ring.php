<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Sculpt\Area;

/** One closed line of an area's outline, made smooth, in pixels of the picture. */
final readonly class Ring
{
    /** Corners sharper than this stay corners, in radians. */
    private const CORNER = 40 * M_PI / 180;

    /** Pixels between two points of the smooth line. */
    private const STEP = 3.0;

    public int $left;

    public int $top;

    public int $width;

    public int $height;

    /**
     * @param  int  $no  from 0, in the order of the layers
     * @param  array<int, float>  $xs
     * @param  array<int, float>  $ys
     */
    private function __construct(
        public int $no,
        public Area $area,
        public int $nth,
        public array $xs,
        public array $ys,
    ) {
        $this->left = (int) floor(min($xs === [] ? [0.0] : $xs)) - 1;
        $this->top = (int) floor(min($ys === [] ? [0.0] : $ys)) - 1;
        $this->width = (int) ceil(max($xs === [] ? [0.0] : $xs)) + 2 - $this->left;
        $this->height = (int) ceil(max($ys === [] ? [0.0] : $ys)) + 2 - $this->top;
    }

    /**
     * Smooth by a Catmull–Rom curve through its points.
     *
     * @param  int  $nth  which ring of its area, from 0
     * @param  list<array{float, float}>  $points  in fractions of the frame
     */
    public static function smooth(int $no, Area $area, int $nth, array $points, int $width, int $height): self
    {
        $px = array_map(fn (array $p): array => [$p[0] * $width, $p[1] * $height], $points);
        $n = count($px);
        $xs = $ys = [];
        for ($i = 0; $i < $n; $i++) {
            [$a, $b, $c, $d] = [$px[($i + $n - 1) % $n], $px[$i], $px[($i + 1) % $n], $px[($i + 2) % $n]];
            $m1 = self::turn($a, $b, $c) > self::CORNER ? [0.0, 0.0] : [($c[0] - $a[0]) / 2, ($c[1] - $a[1]) / 2];
            $m2 = self::turn($b, $c, $d) > self::CORNER ? [0.0, 0.0] : [($d[0] - $b[0]) / 2, ($d[1] - $b[1]) / 2];
            $pieces = max(1, min(24, (int) ceil(hypot($c[0] - $b[0], $c[1] - $b[1]) / self::STEP)));
            $isStraight = $m1 === [0.0, 0.0] && $m2 === [0.0, 0.0];
            for ($k = 0; $k < ($isStraight ? 1 : $pieces); $k++) {
                $t = $k / $pieces;
                [$t2, $t3] = [$t * $t, $t * $t * $t];
                [$h1, $h2] = [2 * $t3 - 3 * $t2 + 1, $t3 - 2 * $t2 + $t];
                [$h3, $h4] = [3 * $t2 - 2 * $t3, $t3 - $t2];
                $xs[] = $h1 * $b[0] + $h2 * $m1[0] + $h3 * $c[0] + $h4 * $m2[0];
                $ys[] = $h1 * $b[1] + $h2 * $m1[1] + $h3 * $c[1] + $h4 * $m2[1];
            }
        }

        return new self($no, $area, $nth, $xs, $ys);
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function turn(array $a, array $b, array $c): float
    {
        $in = atan2($b[1] - $a[1], $b[0] - $a[0]);
        $out = atan2($c[1] - $b[1], $c[0] - $b[0]);
        $turn = abs($out - $in);

        return $turn > M_PI ? 2 * M_PI - $turn : $turn;
    }

    /**
     * The pixels whose centres lie within, row by row of its box.
     *
     * @return list<list<array{int, int}>> by row: first and last column of each run
     */
    public function runs(): array
    {
        $crossings = array_fill(0, $this->height, []);
        $n = count($this->xs);
        for ($i = 0; $i < $n; $i++) {
            $j = $i + 1 === $n ? 0 : $i + 1;
            [$x1, $y1, $x2, $y2] = [$this->xs[$i], $this->ys[$i], $this->xs[$j], $this->ys[$j]];
            if ($y1 === $y2) {
                continue;
            }
            [$x1, $y1, $x2, $y2] = $y1 < $y2 ? [$x1, $y1, $x2, $y2] : [$x2, $y2, $x1, $y1];
            $first = (int) ceil($y1 - $this->top - 0.5);
            $last = (int) ceil($y2 - $this->top - 0.5) - 1;
            $slope = ($x2 - $x1) / ($y2 - $y1);
            for ($row = max(0, $first); $row <= min($this->height - 1, $last); $row++) {
                $crossings[$row][] = $x1 + ($row + $this->top + 0.5 - $y1) * $slope - $this->left;
            }
        }

        return array_map(self::between(...), $crossings);
    }

    /**
     * @param  array<int, float>  $crossings
     * @return list<array{int, int}>
     */
    private static function between(array $crossings): array
    {
        sort($crossings);
        $runs = [];
        for ($k = 0; $k + 1 < count($crossings); $k += 2) {
            $from = (int) ceil($crossings[$k] - 0.5);
            $to = (int) ceil($crossings[$k + 1] - 0.5) - 1;
            if ($to >= $from) {
                $runs[] = [$from, $to];
            }
        }

        return $runs;
    }
}
