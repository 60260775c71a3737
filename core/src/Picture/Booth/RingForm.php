<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Grid;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;

/**
 * The round body of one ring: how deep each pixel lies within its line, and how far it stands up, in mm. Near the line
 * distances are exact to the line itself, so that slanted edges have no steps.
 */
final class RingForm
{
    /** Mm along the line in which distances are measured to the line itself. */
    private const BAND = 0.55;

    /** The deepest point counts for the roundness no further than this. */
    private const ROUND = 7.0;

    private const FLAT = 0.5;

    /** @var array<int, float> mm within the line; 0 outside, row by row of the ring's box */
    public readonly array $depth;

    /** @var array<int, float> mm above the ring's own plane */
    public readonly array $height;

    /** @var array<int, float> by place in the box: share of the pixel that the ring covers, for those on its line */
    public readonly array $partly;

    /** Mm of its deepest point. */
    public readonly float $deepest;

    private readonly float $scale;

    /**
     * @param  list<list<array{int, int}>>  $runs
     * @param  float  $scale  pixels a mm
     */
    public function __construct(private readonly Ring $ring, array $runs, float $scale)
    {
        $this->scale = $scale;
        [$width, $height] = [$ring->width, $ring->height];
        $band = max(2.0, self::BAND * $scale);
        $near = $this->near($band);
        $cell = max(2, (int) round(0.12 * $scale));
        [$columns, $rows] = [intdiv($width + $cell - 1, $cell), intdiv($height + $cell - 1, $cell)];
        $coarse = self::coarse($runs, $cell, $columns, $rows);
        $cells = array_map(
            fn (float $d) => $d > 0.0 ? (($d - 0.5) * $cell) / $scale : 0.0,
            Grid::distances($coarse, $columns, $rows),
        );
        $deepest = max($cells === [] ? [0.0] : $cells);
        $r = max(0.05, min(self::ROUND, max($deepest, 0.0)));
        $far = Grid::enlarged($cells, $columns, $rows, $cell, $width, $height);
        $depth = array_fill(0, $width * $height, 0.0);
        $partly = [];
        $inside = array_fill(0, $width * $height, false);
        foreach ($runs as $y => $runsOfRow) {
            foreach ($runsOfRow as [$from, $to]) {
                for ($i = $y * $width + $from, $end = $y * $width + $to; $i <= $end; $i++) {
                    $d = $near[$i];
                    $inside[$i] = true;
                    $depth[$i] = $d < $band ? $d / $scale : max($far[$i], $band / $scale);
                    if ($d < 0.5) {
                        $partly[$i] = 0.5 + $d;
                    }
                }
            }
        }
        foreach ($near as $i => $d) {
            if ($d < 0.5 && ! $inside[$i]) {
                $partly[$i] = 0.5 - $d;
            }
        }
        unset($far, $near, $inside);
        $this->partly = $partly;
        $this->deepest = $r;
        $this->depth = $depth;
        $this->height = $this->heights($cells, $coarse, $columns, $rows, $cell, $r);
    }

    /** @return array<int, float> pixels to the line, as far as the band reaches; more than the band beyond it */
    private function near(float $band): array
    {
        [$width, $height] = [$this->ring->width, $this->ring->height];
        $squares = array_fill(0, $width * $height, 1e12);
        $n = count($this->ring->xs);
        for ($i = 0; $i < $n; $i++) {
            $j = $i + 1 === $n ? 0 : $i + 1;
            $ax = $this->ring->xs[$i] - $this->ring->left - 0.5;
            $ay = $this->ring->ys[$i] - $this->ring->top - 0.5;
            $dx = $this->ring->xs[$j] - $this->ring->left - 0.5 - $ax;
            $dy = $this->ring->ys[$j] - $this->ring->top - 0.5 - $ay;
            $over = 1 / max(1e-9, $dx * $dx + $dy * $dy);
            $x0 = max(0, (int) floor(min($ax, $ax + $dx) - $band));
            $x1 = min($width - 1, (int) ceil(max($ax, $ax + $dx) + $band));
            $y0 = max(0, (int) floor(min($ay, $ay + $dy) - $band));
            $y1 = min($height - 1, (int) ceil(max($ay, $ay + $dy) + $band));
            for ($y = $y0; $y <= $y1; $y++) {
                $py = $y - $ay;
                for ($x = $x0, $at = $y * $width + $x0; $x <= $x1; $x++, $at++) {
                    $px = $x - $ax;
                    $t = ($px * $dx + $py * $dy) * $over;
                    $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
                    $ex = $px - $t * $dx;
                    $ey = $py - $t * $dy;
                    $d = $ex * $ex + $ey * $ey;
                    if ($d < $squares[$at]) {
                        $squares[$at] = $d;
                    }
                }
            }
        }

        return array_map(sqrt(...), $squares);
    }

    /**
     * @param  list<list<array{int, int}>>  $runs
     * @return array<int, bool> by cell: whether its middle lies within
     */
    private static function coarse(array $runs, int $cell, int $columns, int $rows): array
    {
        $set = array_fill(0, $columns * $rows, false);
        for ($y = 0; $y < $rows; $y++) {
            foreach ($runs[$y * $cell + intdiv($cell, 2)] ?? [] as [$from, $to]) {
                $first = max(0, (int) ceil(($from - intdiv($cell, 2)) / $cell));
                $last = min($columns - 1, intdiv(max(0, $to - intdiv($cell, 2)), $cell));
                for ($x = $first; $x <= $last; $x++) {
                    $set[$y * $columns + $x] = true;
                }
            }
        }

        return $set;
    }

    /**
     * A quarter of a round body: r·b·√(1 − (1 − d/r)²), its ridge in the middle smoothed away.
     *
     * @param  array<int, float>  $cells  mm
     * @param  array<int, bool>  $set
     * @return array<int, float>
     */
    private function heights(array $cells, array $set, int $columns, int $rows, int $cell, float $r): array
    {
        $round = $this->isFlat() ? min($r, self::FLAT) : $r;
        $lift = $round * $this->bulge();
        $round_of = fn (float $d): float => $d >= $round ? $lift : $lift * sqrt(1 - (1 - $d / $round) ** 2);
        $tall = array_map($round_of, $cells);
        $radius = (int) round((0.16 * $r * $this->scale) / $cell);
        $in = Grid::blurred(array_map(fn (bool $b) => $b ? 1.0 : 0.0, $set), $columns, $rows, $radius);
        $smooth = Grid::blurred($tall, $columns, $rows, $radius);
        foreach ($smooth as $k => $value) {
            $smooth[$k] = $in[$k] > 0.02 ? $value / $in[$k] : 0.0;
        }
        $blurred = Grid::enlarged($smooth, $columns, $rows, $cell, $this->ring->width, $this->ring->height);
        $full = 1 / max(0.05, min(0.9 * self::BAND, 0.6 * $r));
        $heights = [];
        foreach ($this->depth as $i => $d) {
            if ($d <= 0.0) {
                $heights[] = 0.0;

                continue;
            }
            $w = $d * $full;
            $w = $w > 1.0 ? 1.0 : $w * $w * (3 - 2 * $w);
            $exact = $d >= $round ? $lift : $lift * sqrt(1 - (1 - $d / $round) * (1 - $d / $round));
            $heights[] = $exact + $w * ($blurred[$i] - $exact);
        }

        return $heights;
    }

    private function isFlat(): bool
    {
        $area = $this->ring->area;

        return $area->rank === Rank::Ground ||
            $area->material === Material::Parchment ||
            $area->material === Material::Eye ||
            $area->material === Material::Plate;
    }

    private function bulge(): float
    {
        return $this->ring->area->material === Material::Cloth ? 0.8 : 0.95;
    }
}
