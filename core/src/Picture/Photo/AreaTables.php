<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** What is counted of an area in one walk over its pixels. */
final class AreaTables
{
    public const BANDS = 64;

    /** @var array<int, int> by colour of six bits a channel: pixels */
    public array $colours = [];

    /** @var array<int, array<int, int>> by ring: by height band (0 on top) × lightness bin: pixels */
    public array $heights = [];

    /** @var array<int, int> pixels by bin of half an L* once the light is divided out; all 0 where it is not known */
    public array $paint;

    public int $pixels = 0;

    public int $clipped = 0;

    /** Pixels within the lines of its rings, seen or not. */
    public int $within = 0;

    public function __construct()
    {
        $this->paint = array_fill(0, Light::BINS, 0);
    }

    /** @return array<int, int> pixels by bin of half an L* */
    public function lightness(): array
    {
        $bins = array_fill(0, Light::BINS, 0);
        foreach ($this->heights as $table) {
            foreach ($table as $at => $n) {
                $bins[$at % Light::BINS] += $n;
            }
        }

        return $bins;
    }

    /** L* below which a share of the pixels lie. */
    public function percentile(float $share): float
    {
        $sum = 0;
        foreach ($this->lightness() as $bin => $n) {
            $sum += $n;
            if ($sum >= $share * $this->pixels) {
                return $bin / 2;
            }
        }

        return 0.0;
    }

    /**
     * Rank correlation of lightness with height within each ring, rings by their pixels (Spearman, ties shared).
     */
    public function fromAbove(): float
    {
        $sum = 0.0;
        $all = 0;
        foreach ($this->heights as $table) {
            $n = array_sum($table);
            $sum += $n * self::correlation($table);
            $all += $n;
        }

        return $all === 0 ? 0.0 : $sum / $all;
    }

    /** @param  array<int, int>  $table */
    private static function correlation(array $table): float
    {
        $rows = array_fill(0, self::BANDS, 0);
        $columns = array_fill(0, Light::BINS, 0);
        foreach ($table as $at => $n) {
            $rows[intdiv($at, Light::BINS)] += $n;
            $columns[$at % Light::BINS] += $n;
        }
        [$up, $light] = [self::ranks($rows), self::ranks($columns)];
        $n = array_sum($table);
        $middle = ($n + 1) / 2;
        $xy = $xx = $yy = 0.0;
        foreach ($table as $at => $count) {
            $x = $up[intdiv($at, Light::BINS)] - $middle;
            $y = $light[$at % Light::BINS] - $middle;
            $xy += $count * $x * $y;
            $xx += $count * $x * $x;
            $yy += $count * $y * $y;
        }

        // Bands count downwards from the top.
        return $xx <= 0.0 || $yy <= 0.0 ? 0.0 : -$xy / sqrt($xx * $yy);
    }

    /**
     * @param  array<int, int>  $counts
     * @return array<int, float> the mean rank of those in each bin
     */
    private static function ranks(array $counts): array
    {
        $ranks = [];
        $before = 0;
        foreach ($counts as $bin => $n) {
            $ranks[$bin] = $before + ($n + 1) / 2;
            $before += $n;
        }

        return $ranks;
    }
}
