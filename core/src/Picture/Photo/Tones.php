<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** The tones of an area: peaks of its lightness that stand apart. */
final class Tones
{
    private const SIGMA = 1.4;

    private const SHARP_SIGMA = 1.0;

    /** How deep a valley is at the least, of the lower peak. */
    private const VALLEY = 0.15;

    /** L* between two middles at the least. */
    private const APART = 4.0;

    private const MASS = 0.03;

    /** L* between two tones that a photograph tells apart for sure. */
    public const PROMISED = 10.0;

    /**
     * @param  array<int, int>  $bins  pixels by half L*
     * @param  bool  $isUnlit  whether the light has been divided out: then peaks are narrower
     * @return list<float> L* of each tone, the darkest first
     */
    public static function of(array $bins, bool $isUnlit = false): array
    {
        $smooth = self::smoothed($bins, $isUnlit ? self::SHARP_SIGMA : self::SIGMA);
        $peaks = self::peaks($smooth);
        while (count($peaks) > 1) {
            [$weakest, $depth] = self::weakest($smooth, $peaks);
            if ($depth >= self::VALLEY) {
                break;
            }
            $isLower = $smooth[$peaks[$weakest]] < $smooth[$peaks[$weakest + 1]];
            array_splice($peaks, $isLower ? $weakest : $weakest + 1, 1);
        }
        $middles = [];
        $all = max(1, array_sum($bins));
        $edges = [0];
        for ($k = 0; $k + 1 < count($peaks); $k++) {
            $edges[] = self::valley($smooth, $peaks[$k], $peaks[$k + 1]);
        }
        $edges[] = count($bins);
        foreach ($peaks as $k => $peak) {
            $mass = array_sum(array_slice($bins, $edges[$k], $edges[$k + 1] - $edges[$k]));
            $isApart = $middles === [] || 0.5 * $peak - $middles[count($middles) - 1] >= self::APART;
            if ($mass / $all >= self::MASS && $isApart) {
                $middles[] = 0.5 * $peak;
            }
        }

        return $middles;
    }

    /**
     * How stark the starkest step between two tones is: 1 − valley ÷ lower peak. Of steps that a photograph does not
     * tell apart for sure nothing is said.
     *
     * @param  array<int, int>  $bins
     */
    public static function starkest(array $bins, bool $isUnlit = false): float
    {
        $smooth = self::smoothed($bins, self::SHARP_SIGMA);
        $tones = array_map(fn (float $l) => (int) round(2 * $l), self::of($bins, $isUnlit));
        $stark = 0.0;
        for ($k = 0; $k + 1 < count($tones); $k++) {
            if (2 * self::PROMISED > $tones[$k + 1] - $tones[$k]) {
                continue;
            }
            $valley = $smooth[self::valley($smooth, $tones[$k], $tones[$k + 1])];
            $lower = min($smooth[$tones[$k]], $smooth[$tones[$k + 1]]);
            $stark = max($stark, $lower > 0.0 ? 1 - $valley / $lower : 0.0);
        }

        return $stark;
    }

    /**
     * @param  array<int, int>  $bins
     * @return array<int, float>
     */
    private static function smoothed(array $bins, float $sigma): array
    {
        $reach = (int) ceil(6 * $sigma);
        $bell = [];
        for ($k = -$reach; $k <= $reach; $k++) {
            $bell[$k] = exp(-(($k / (2 * $sigma)) ** 2) / 2);
        }
        $sum = array_sum($bell);
        $out = [];
        $n = count($bins);
        for ($i = 0; $i < $n; $i++) {
            $value = 0.0;
            foreach ($bell as $k => $weight) {
                $value += $weight * ($bins[$i + $k] ?? 0);
            }
            $out[] = $value / $sum;
        }

        return $out;
    }

    /**
     * @param  array<int, float>  $smooth
     * @return list<int>
     */
    private static function peaks(array $smooth): array
    {
        $peaks = [];
        $n = count($smooth);
        for ($i = 0; $i < $n; $i++) {
            $rises = $smooth[$i] > ($smooth[$i - 1] ?? -1.0);
            if ($smooth[$i] > 0.0 && $rises && $smooth[$i] >= ($smooth[$i + 1] ?? -1.0)) {
                $peaks[] = $i;
            }
        }

        return $peaks;
    }

    /**
     * @param  array<int, float>  $smooth
     * @param  list<int>  $peaks
     * @return array{int, float} the pair with the shallowest valley, and its depth
     */
    private static function weakest(array $smooth, array $peaks): array
    {
        [$weakest, $least] = [0, INF];
        for ($k = 0; $k + 1 < count($peaks); $k++) {
            $lower = min($smooth[$peaks[$k]], $smooth[$peaks[$k + 1]]);
            $depth = 1 - $smooth[self::valley($smooth, $peaks[$k], $peaks[$k + 1])] / $lower;
            if ($depth < $least) {
                [$weakest, $least] = [$k, $depth];
            }
        }

        return [$weakest, $least];
    }

    /** @param  array<int, float>  $smooth */
    private static function valley(array $smooth, int $from, int $to): int
    {
        $lowest = $from;
        for ($i = $from; $i <= $to; $i++) {
            $lowest = $smooth[$i] < $smooth[$lowest] ? $i : $lowest;
        }

        return $lowest;
    }
}
