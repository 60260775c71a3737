<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/** An order of work that was made by hand, as ranks of steps. */
final class HandOrder
{
    /**
     * Steps that were put somewhere by hand keep that order among themselves; one that must come before another
     * stands
     * no later than that.
     *
     * @param  list<Step>  $steps
     * @param  list<StepKey>  $sequence
     * @param  array<int, array<int, array<string, Rule>>>  $before
     * @return array<int, int> by step; none without a sequence
     */
    public static function ranks(array $steps, array $sequence, PrecedenceGraph $edges, array $before): array
    {
        if ($sequence === []) {
            return [];
        }
        $place = array_flip(array_map(fn (StepKey $k) => $k->id, $sequence));
        $ranks = array_map(
            fn (Step $s) => $place[$s->paintedKey()->id] ?? ($place[$s->key()->id] ?? count($sequence)),
            $steps,
        );
        $waits = array_map(fn (int $i) => count($edges->after($i)), array_keys($steps));
        $last = array_keys($waits, 0, true);
        while ($last !== []) {
            $i = array_pop($last);
            foreach (array_keys($before[$i]) as $earlier) {
                $ranks[$earlier] = min($ranks[$earlier], $ranks[$i]);
                if (--$waits[$earlier] === 0) {
                    $last[] = $earlier;
                }
            }
        }

        return $ranks;
    }

    /**
     * The steps of one pot that stand next to one another in the order made by hand, from the first of them on.
     *
     * @param  non-empty-list<int>  $members
     * @param  array<int, int>  $ranks  by step
     * @param  list<int>  $done
     * @return non-empty-list<int>
     */
    public static function run(array $members, array $ranks, array $done): array
    {
        usort($members, fn (int $a, int $b) => [$ranks[$a], $a] <=> [$ranks[$b], $b]);
        $first = $ranks[$members[0]];
        $others = array_diff_key($ranks, array_flip($members), array_flip($done));
        $later = array_filter($others, fn (int $rank) => $rank > $first);
        $next = $later === [] ? PHP_INT_MAX : min($later);

        return array_values(array_filter($members, fn (int $i) => $ranks[$i] <= $next)) ?: [$members[0]];
    }
}
