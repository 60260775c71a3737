<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/**
 * What of each area can be seen in the outlines: its rings minus the rings of areas with a higher layer, counted on a
 * grid of quarter millimetres. Points inside an odd number of a ring's crossings are inside (even-odd rule).
 */
final readonly class OutlinedSurface
{
    private const CELLS_A_MM = 4;

    /** @var array<string, array<string, int>> by view and area: cells that are seen */
    private array $seen;

    /** @var array<string, array<string, array<int, true>>> by view and area: cells within its rings */
    private array $within;

    public function __construct(private Sculpt $sculpt)
    {
        [$width, $height] = $sculpt->frameMm ?? [60.0, 80.0];
        $columns = max(1, (int) round($width * self::CELLS_A_MM));
        $rows = max(1, (int) round($height * self::CELLS_A_MM));
        $seen = $within = [];
        foreach (View::outlined() as $view) {
            $top = [];
            foreach ($sculpt->areas as $area) {
                $cells = [];
                foreach ($area->outline[$view] ?? [] as $ring) {
                    $cells += self::cells($ring, $columns, $rows);
                }
                $within[$view][$area->key] = $cells;
                foreach (array_keys($cells) as $cell) {
                    $top[$cell] = max($top[$cell] ?? PHP_INT_MIN, $area->layer);
                }
            }
            foreach ($sculpt->areas as $area) {
                $seen[$view][$area->key] = count(
                    array_filter(
                        array_keys($within[$view][$area->key]),
                        fn (int $cell) => $top[$cell] <= $area->layer,
                    ),
                );
            }
        }
        $this->seen = $seen;
        $this->within = $within;
    }

    /** Square millimetres of an area that are seen in a view. */
    public function mm2(string $area, string $view): float
    {
        return ($this->seen[$view][$area] ?? 0) / self::CELLS_A_MM ** 2;
    }

    public function isOutlined(string $area): bool
    {
        foreach (View::outlined() as $view) {
            if (($this->within[$view][$area] ?? []) !== []) {
                return true;
            }
        }

        return false;
    }

    /** Square millimetres that two areas have in common in a view, whichever lies above. */
    public function common(string $one, string $other, string $view): float
    {
        return count(array_intersect_key($this->within[$view][$one] ?? [], $this->within[$view][$other] ?? [])) /
            self::CELLS_A_MM ** 2;
    }

    /**
     * Shares of the surface as the outlines have them; areas without outlines keep theirs.
     *
     * @return array<string, float> percent with one decimal, together 100
     */
    public function shares(): array
    {
        $outlined = [];
        $kept = 0.0;
        foreach ($this->sculpt->areas as $area) {
            $mm2 = $this->mm2($area->key, 'front') + $this->mm2($area->key, 'back');
            if ($mm2 > 0) {
                $outlined[$area->key] = $mm2;
            } else {
                $kept += $area->sharePct;
            }
        }
        $all = array_sum($outlined);
        $shares = [];
        foreach ($this->sculpt->areas as $area) {
            $shares[$area->key] = isset($outlined[$area->key])
                ? max(0.1, round(($outlined[$area->key] / $all) * max(0.0, 100 - $kept), 1))
                : $area->sharePct;
        }
        if ($outlined !== []) {
            // What rounding leaves goes to the largest.
            $largest = (string) array_search(max($outlined), $outlined, true);
            $shares[$largest] = round($shares[$largest] + 100 - array_sum($shares), 1);
        }

        return $shares;
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @return array<int, true> cells whose middle lies within it
     */
    private static function cells(array $ring, int $columns, int $rows): array
    {
        $cells = [];
        $n = count($ring);
        for ($row = 0; $row < $rows; $row++) {
            $y = ($row + 0.5) / $rows;
            $crossings = [];
            for ($i = 0; $i < $n; $i++) {
                [$x1, $y1] = $ring[$i];
                [$x2, $y2] = $ring[($i + 1) % $n];
                if ($y1 > $y !== $y2 > $y) {
                    $crossings[] = $x1 + (($y - $y1) / ($y2 - $y1)) * ($x2 - $x1);
                }
            }
            sort($crossings);
            for ($k = 0; $k + 1 < count($crossings); $k += 2) {
                $from = max(0, (int) ceil($crossings[$k] * $columns - 0.5));
                $to = min($columns - 1, (int) ceil($crossings[$k + 1] * $columns - 0.5) - 1);
                for ($column = $from; $column <= $to; $column++) {
                    $cells[$row * $columns + $column] = true;
                }
            }
        }

        return $cells;
    }
}
