<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/** Why batches are as large as they are: one painter, step by step, and what they wait for paint to dry. */
final class Waiting
{
    /**
     * Minutes of waiting with so many pieces.
     *
     * @param  list<array{float, float}>  $steps  hand minutes and drying of each, in their order
     */
    public static function of(array $steps, int $pieces): float
    {
        $waiting = 0.0;
        for ($i = 0; $i + 1 < count($steps); $i++) {
            [[$hand, $dry], [$next]] = [$steps[$i], $steps[$i + 1]];
            $waiting += max(0.0, $dry - ($pieces - 1) * min($hand, $next));
        }

        return $waiting;
    }

    /**
     * The least number of pieces with which nobody waits; null: a step takes no time, so that some always do.
     *
     * @param  list<array{float, float}>  $steps
     */
    public static function none(array $steps): ?int
    {
        $most = 0;
        for ($i = 0; $i + 1 < count($steps); $i++) {
            [[$hand, $dry], [$next]] = [$steps[$i], $steps[$i + 1]];
            $least = min($hand, $next);
            if ($least <= 0.0 && $dry > 0.0) {
                return null;
            }
            $most = max($most, $dry > 0.0 ? (int) ceil($dry / $least - 1e-9) : 0);
        }

        return 1 + $most;
    }
}
