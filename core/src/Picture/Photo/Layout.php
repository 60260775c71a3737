<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Picture\Booth\Ring;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;

/** Which pixels of a photograph show which ring: what higher layers cover is taken off, and a margin all round. */
final class Layout
{
    /** Mm that are left out along every border. */
    private const MARGIN = 0.1;

    /** @var list<Ring> the lowest layer first, in pixels of the photograph */
    public readonly array $rings;

    /** Pixels a mm. */
    public readonly float $scale;

    /** @var array<int, array<int, list<array{int, int}>>> by ring and row: first and last column of each run */
    public array $runs = [];

    /** @var array<int, int> by ring: pixels within its line, whatever covers them */
    public array $within = [];

    public function __construct(Sculpt $sculpt, Placement $placement, int $width, int $height)
    {
        $this->scale = $placement->scale($sculpt);
        $areas = $sculpt->areas;
        usort($areas, fn (Area $a, Area $b) => $a->layer <=> $b->layer);
        $rings = [];
        foreach ($areas as $area) {
            foreach ($area->outline[$placement->view->value] ?? [] as $nth => $points) {
                $placed = array_map(fn (array $point) => $placement->atOf($area->key, $point), $points);
                $rings[] = Ring::smooth(count($rings), $area, $nth, $placed, 1, 1);
            }
        }
        $this->rings = $rings;
        $whole = $this->whole($width, $height);
        $margin = max(1, (int) round(self::MARGIN * $this->scale));
        foreach ($rings as $ring) {
            $this->runs[$ring->no] = self::shrunk($whole[$ring->no] ?? [], $margin);
        }
    }

    /** @return array<int, array<int, list<array{int, int}>>> what is seen of each ring, row by row */
    private function whole(int $width, int $height): array
    {
        $byRow = [];
        foreach ($this->rings as $ring) {
            $this->within[$ring->no] = 0;
            foreach ($ring->runs() as $k => $runs) {
                $y = $ring->top + $k;
                foreach ($y < 0 || $y >= $height ? [] : $runs as [$from, $to]) {
                    $from = max(0, $from + $ring->left);
                    $to = min($width - 1, $to + $ring->left);
                    if ($to >= $from) {
                        $byRow[$y][$ring->no][] = [$from, $to];
                        $this->within[$ring->no] += $to - $from + 1;
                    }
                }
            }
        }
        $seen = [];
        foreach ($byRow as $y => $ofRings) {
            $covered = [];
            foreach (array_reverse($ofRings, true) as $no => $runs) {
                foreach ($runs as $run) {
                    foreach (self::less($run, $covered) as $left) {
                        $seen[$no][$y][] = $left;
                    }
                }
                array_push($covered, ...$runs);
            }
        }

        return $seen;
    }

    /**
     * A run without what others cover of it.
     *
     * @param  array{int, int}  $run
     * @param  list<array{int, int}>  $covered
     * @return list<array{int, int}>
     */
    private static function less(array $run, array $covered): array
    {
        $left = [$run];
        foreach ($covered as [$from, $to]) {
            $next = [];
            foreach ($left as [$a, $b]) {
                if ($to < $a || $from > $b) {
                    $next[] = [$a, $b];

                    continue;
                }
                if ($from > $a) {
                    $next[] = [$a, $from - 1];
                }
                if ($to < $b) {
                    $next[] = [$to + 1, $b];
                }
            }
            $left = $next;
        }

        return $left;
    }

    /**
     * @param  array<int, list<array{int, int}>>  $rows
     * @return array<int, list<array{int, int}>> what lies a margin within, every way
     */
    private static function shrunk(array $rows, int $margin): array
    {
        $out = [];
        foreach ($rows as $y => $runs) {
            $above = $rows[$y - $margin] ?? [];
            $below = $rows[$y + $margin] ?? [];
            foreach ($runs as [$from, $to]) {
                foreach (self::shared([$from + $margin, $to - $margin], $above) as $part) {
                    foreach (self::shared($part, $below) as $left) {
                        $out[$y][] = $left;
                    }
                }
            }
        }

        return $out;
    }

    /**
     * @param  array{int, int}  $run
     * @param  list<array{int, int}>  $others
     * @return list<array{int, int}>
     */
    private static function shared(array $run, array $others): array
    {
        $out = [];
        foreach ($others as [$from, $to]) {
            [$a, $b] = [max($run[0], $from), min($run[1], $to)];
            if ($b >= $a) {
                $out[] = [$a, $b];
            }
        }

        return $out;
    }
}
