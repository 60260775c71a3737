<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/** Rules that cannot all hold: of each circle the weakest gives way, and that is said. */
final class Circles
{
    /**
     * Takes the weakest edge out of every circle of the graph, until there is none.
     *
     * @param  list<Step>  $steps
     * @return list<Cycle> what was found, and the rule that gave way
     */
    public static function breakAll(PrecedenceGraph $edges, array $steps): array
    {
        $cycles = [];
        while (($circle = $edges->circle()) !== null) {
            $around = [];
            $weakest = null;
            foreach ($circle as $k => $step) {
                $next = $circle[($k + 1) % count($circle)];
                $rule = self::strongest($edges->after($step)[$next]);
                if ($rule === null) {
                    continue;
                }
                $around[] = new HeldBack($rule, $steps[$step], $steps[$next]);
                if ($weakest === null || $rule->strength() < $weakest[2]->strength()) {
                    $weakest = [$step, $next, $rule];
                }
            }
            if ($weakest === null || $around === []) {
                break;
            }
            $edges->drop($weakest[0], $weakest[1]);
            $cycles[] = new Cycle($around, $weakest[2]);
        }

        return $cycles;
    }

    /** @param  array<string, Rule>  $rules */
    private static function strongest(array $rules): ?Rule
    {
        return array_reduce(
            $rules,
            fn (?Rule $a, Rule $b) => $a === null || $b->strength() > $a->strength() ? $b : $a,
        );
    }
}
