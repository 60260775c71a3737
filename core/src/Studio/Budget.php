<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/**
 * The highest tiers that an amount pays for: first one rung for all, as high as it goes; with what is left, those that
 * are looked at most are raised a rung each, as often as it fits.
 */
final class Budget
{
    /**
     * @param  list<int>  $highest  of each unit: the last of its rungs, counted from 0
     * @param  list<int>  $first  units in the order in which they are raised
     * @param  callable(list<int>): bool  $fits  whether rungs, one for each unit, cost no more
     * @return list<int>|null rungs; null: not even the lowest fit
     */
    public static function rungs(array $highest, array $first, callable $fits): ?array
    {
        $at = fn (int $rung): array => array_map(fn (int $top) => min($top, $rung), $highest);
        if ($highest === [] || ! $fits($at(0))) {
            return null;
        }
        for ($common = 0; $common < max($highest) && $fits($at($common + 1)); $common++);
        $rungs = $at($common);
        do {
            $isRaised = false;
            foreach ($first as $unit) {
                $raised = $rungs;
                $raised[$unit]++;
                $raised = array_values($raised);
                if ($raised[$unit] <= $highest[$unit] && $fits($raised)) {
                    $rungs = $raised;
                    $isRaised = true;
                }
            }
        } while ($isRaised);

        return $rungs;
    }
}
