<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

/**
 * How much longer or shorter techniques take here than planned. One sitting is one observation, shared over its
 * techniques by their planned minutes; its ratio is held within a third and three times, and the sum is shrunk towards
 * what was planned, so that a few sittings say little and a forgotten clock not much.
 */
final class Learned
{
    /** What is planned weighs as much as so many sittings. */
    private const PRIOR = 4.0;

    private const LEAST = 0.4;

    private const MOST = 2.5;

    /**
     * @param  list<Sitting>  $sittings
     * @return array<string, float> by technique: what its minutes are multiplied with
     */
    public static function factors(array $sittings): array
    {
        $sums = $weights = [];
        foreach ($sittings as $sitting) {
            $planned = array_sum($sitting->planned);
            if ($planned <= 0.0 || $sitting->spent <= 0.0) {
                continue;
            }
            $log = max(-log(3.0), min(log(3.0), log($sitting->spent / $planned)));
            foreach ($sitting->planned as $technique => $minutes) {
                $weight = $minutes / $planned;
                $sums[$technique] = ($sums[$technique] ?? 0.0) + $weight * $log;
                $weights[$technique] = ($weights[$technique] ?? 0.0) + $weight;
            }
        }
        $factors = [];
        foreach ($sums as $technique => $sum) {
            $factor = exp($sum / ($weights[$technique] + self::PRIOR));
            $factors[$technique] = max(self::LEAST, min(self::MOST, $factor));
        }

        return $factors;
    }
}
