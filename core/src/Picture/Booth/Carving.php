<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Grid;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;

/** What the map's words make of a surface: folds, hair, grain, rivets, grooves, in mm up and down. */
final class Carving
{
    private Noise $noise;

    private float $shift;

    /** @param  list<array{float, float}>  $eyes  middles of the eyes that lie on it, in mm */
    public function __construct(private readonly Ring $ring, private readonly float $scale, int $seed, array $eyes = [])
    {
        $this->noise = new Noise($seed);
        $this->shift = ($seed % 997) * 0.37;
        $this->eyes = $eyes;
    }

    /** @var list<array{float, float}> */
    private array $eyes;

    /**
     * @param  list<list<array{int, int}>>  $runs
     * @return array<int, float> mm, row by row of the ring's box
     */
    public function relief(array $runs): array
    {
        $words = $this->words();
        $out = array_fill(0, $this->ring->width * $this->ring->height, 0.0);
        [$lefts, $widths] = $this->sides($runs);
        foreach ($runs as $y => $ofRow) {
            $my = ($y + $this->ring->top) / $this->scale;
            foreach ($ofRow as [$from, $to]) {
                for ($x = $from, $i = $y * $this->ring->width + $from; $x <= $to; $x++, $i++) {
                    $mx = ($x + $this->ring->left) / $this->scale;
                    $across = ($x - $lefts[$y]) / $widths[$y] - 0.5;
                    $sum = 0.0;
                    foreach ($words as $word) {
                        $sum += $word($mx, $my, $across);
                    }
                    $out[$i] = $sum;
                }
            }
        }

        return $out;
    }

    /** @return list<callable(float, float, float): float> by place in mm, and across the row from −½ to ½ */
    private function words(): array
    {
        $area = $this->ring->area;
        $mm = $this->ring->width / $this->scale;
        $folds = max(2.0, min(9.0, $mm / 2.6));
        $hard = fn (Relief $word): bool => in_array($word, $area->relief, true);
        $words = match (true) {
            $area->rank === Rank::Ground && $area->material === Material::Rim => [],
            $area->rank === Rank::Ground => [$this->grain(0.16, 0.8), $this->grain(0.07, 2.6)],
            $area->material === Material::HairFur => [$this->strands(0.14, 2.4), $this->strands(0.06, 5.5)],
            $area->material === Material::Eye, $area->material === Material::Parchment => [],
            $area->material === Material::Skin && $this->eyes !== [] => [$this->face()],
            $area->material === Material::Skin && $area->key === 'hands' => [$this->fingers()],
            $area->material === Material::Wood => [$this->bark(0.03), $this->grain(0.03, 1.1)],
            $area->material === Material::ScaleChitin => [$this->scales()],
            $hard(Relief::SoftFolds) => [$this->folds($folds, min(0.55, 0.06 * $mm)), $this->grain(0.006, 3.1)],
            $hard(Relief::FineTexture) => [$this->grain(0.07, 2.2)],
            $area->isMetal() => [$this->grain(0.008, 3.0)],
            $hard(Relief::Organic) => [$this->grain(0.05, 0.55), $this->grain(0.02, 1.8)],
            default => [$this->grain(0.03, 0.9)],
        };

        return $hard(Relief::Rivets) ? [...$words, $this->rivets()] : $words;
    }

    /** Soft folds that flare with the garment: waves across the row, drifting slowly as they fall. */
    private function folds(float $count, float $deep): callable
    {
        $tall = max(1.0, $this->ring->height / $this->scale);
        $top = $this->ring->top / $this->scale;

        return function (float $mx, float $my, float $across) use ($count, $deep, $tall, $top): float {
            $fall = ($my - $top) / $tall;
            $wave = $this->noise->at($across * $count + $this->shift, $fall * 1.3);
            $small = $this->noise->at($across * $count * 2.1 + $this->shift + 40, $fall * 2.1 + 9);

            return $deep * (0.35 + 0.65 * $fall) * ($wave * 0.8 + 0.3 * $small - 0.25 * abs($wave));
        };
    }

    private function grain(float $deep, float $waves): callable
    {
        return fn (float $mx, float $my): float => $deep *
            $this->noise->at($mx * $waves + $this->shift, $my * $waves + 3.3);
    }

    private function strands(float $deep, float $waves): callable
    {
        return function (float $mx, float $my) use ($deep, $waves): float {
            $bend = 0.5 * $this->noise->at($mx * 0.3, $my * 0.3 + 70);

            return $deep * $this->noise->at(($mx + $bend) * $waves + $this->shift, $my * 0.28);
        };
    }

    private function bark(float $deep): callable
    {
        $isUpright = $this->ring->height > $this->ring->width;

        return fn (float $mx, float $my): float => $deep *
            ($isUpright
                ? $this->noise->at($mx * 3.2 + $this->shift, $my * 0.35)
                : $this->noise->at($mx * 0.35 + $this->shift, $my * 3.2));
    }

    private function scales(): callable
    {
        return function (float $mx, float $my): float {
            // Rows that wander, and scales that are not all as large.
            $v = $my / 1.1 + 0.9 * $this->noise->at($mx * 0.16, $my * 0.16 + 11);
            $row = floor($v);
            $u = $mx / 1.35 + 0.5 * fmod(abs($row), 2.0) + 0.55 * $this->noise->at($mx * 0.3 + $row * 7.3, $my * 0.3);
            $x = $u - floor($u) - 0.5;
            $y = $v - $row;

            return 0.16 * (1 - 2.2 * $x * $x) * (1 - 0.8 * $y) + 0.05 * $this->noise->at($mx, $my);
        };
    }

    private function rivets(): callable
    {
        return function (float $mx, float $my): float {
            $x = $mx / 2.4 - floor($mx / 2.4) - 0.5;
            $y = $my / 2.4 - floor($my / 2.4) - 0.5;
            $d = hypot($x, $y) * 2.4;

            return $d < 0.27 ? 0.12 * sqrt(1 - ($d / 0.27) ** 2) : 0.0;
        };
    }

    /** Grooves between fingers along the longer side of the hand. */
    private function fingers(): callable
    {
        $long = $this->ring->width > $this->ring->height;
        $mid = $long ? $this->ring->left + $this->ring->width * 0.35 : $this->ring->top + $this->ring->height * 0.35;
        $mid /= $this->scale;

        return function (float $mx, float $my) use ($long, $mid): float {
            $along = $long ? $mx : $my;
            $over = $long ? $my : $mx;
            $from = ($along - $mid) * 1.2;
            $from = $from < 0.0 ? 0.0 : ($from > 1.0 ? 1.0 : $from);
            $groove = abs(sin(($over + $this->shift) * M_PI / 0.85));

            return -0.16 * $from * (1 - $groove) ** 3 + 0.03 * $this->noise->at($mx * 1.2, $my * 1.2);
        };
    }

    /** Brow, sockets, nose, mouth, set by where the eyes are. */
    private function face(): callable
    {
        $n = count($this->eyes);
        $ex = array_sum(array_map(fn (array $e) => $e[0], $this->eyes)) / $n;
        $ey = array_sum(array_map(fn (array $e) => $e[1], $this->eyes)) / $n;
        $apart = max(0.9, 2 * max([0.0, ...array_map(fn (array $e) => abs($e[0] - $ex), $this->eyes)]));
        $bell = fn (float $x, float $wide): float => exp(-(($x / $wide) ** 2));

        return function (float $mx, float $my) use ($ex, $ey, $apart, $bell): float {
            $u = ($mx - $ex) / $apart;
            $v = ($my - $ey) / $apart;
            $brow = 0.2 * $bell($v + 0.34, 0.16) * $bell($u, 0.85);
            $nose =
                0.42 * $bell($u, 0.13 + 0.09 * max(0.0, min(1.0, $v))) *
                ($v < -0.1 ? $bell($v + 0.1, 0.25) : ($v < 0.72 ? 0.55 + 0.62 * $v : $bell($v - 0.72, 0.1)));
            $sockets = -0.22 * ($bell($u - 0.5, 0.26) + $bell($u + 0.5, 0.26)) * $bell($v, 0.22);
            $cheeks = 0.16 * ($bell($u - 0.6, 0.3) + $bell($u + 0.6, 0.3)) * $bell($v - 0.62, 0.26);
            $mouth = -0.16 * $bell($v - 1.1, 0.05) * $bell($u, 0.36) + 0.1 * $bell($v - 1.22, 0.08) * $bell($u, 0.3);

            return $brow + $nose + $sockets + $cheeks + $mouth + 0.02 * $this->noise->at($mx * 2, $my * 2);
        };
    }

    /**
     * Left side and width of each row, smooth from row to row, so that what flares has no ribs.
     *
     * @param  list<list<array{int, int}>>  $runs
     * @return array{array<int, float>, array<int, float>} pixels
     */
    private function sides(array $runs): array
    {
        $lefts = $rights = [];
        [$left, $right] = [0.0, (float) $this->ring->width];
        foreach ($runs as $ofRow) {
            if ($ofRow !== []) {
                $left = (float) $ofRow[0][0];
                $right = (float) $ofRow[count($ofRow) - 1][1];
            }
            $lefts[] = $left;
            $rights[] = $right;
        }
        $radius = (int) round(1.5 * $this->scale);
        $lefts = Grid::blurred($lefts, 1, count($lefts), $radius);
        $rights = Grid::blurred($rights, 1, count($rights), $radius);

        return [$lefts, array_map(fn (float $l, float $r) => max(4.0, $r - $l), $lefts, $rights)];
    }
}
