<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Sculpt\Sculpt;

/** What each step of an order follows, and why. */
final readonly class Follows
{
    /**
     * For every rule that holds a step, the last step before it that the rule names. Drying names the last coat of an
     * earlier pass that had to be dry first; the same pot, and whatever else names none, the step right before.
     *
     * @param  PrecedenceGraph  $edges  between the steps of the order, by their places in it
     * @return list<list<array{int, Rule}>> for each step, the places of earlier steps with their rules, nearest first
     */
    public static function steps(OrderedWork $work, PrecedenceGraph $edges, Sculpt $sculpt): array
    {
        $before = $edges->reversed();
        $drying = new DryingTimes($work->steps, $sculpt, 1);
        $all = [];
        foreach ($work->passes as $pass) {
            foreach ($pass->steps as $i) {
                $follows = [];
                foreach ($i === 0 ? [] : $work->held[$i] ?? [] as $rule) {
                    $named =
                        $rule === Rule::DryThrough
                            ? fn (int $j): bool => $j < $pass->steps[0] &&
                                $drying->drying[$j] > 0 &&
                                $drying->waitsFor($i, $j)
                            : fn (int $j): bool => isset($before[$i][$j][$rule->value]);
                    $follows[] = [max([...array_filter(range(0, $i - 1), $named)] ?: [$i - 1]), $rule];
                }
                usort($follows, fn (array $a, array $b) => $b[0] <=> $a[0]);
                $all[$i] = $follows;
            }
        }

        return array_values($all);
    }

    /**
     * The nearest step of an earlier pass that a pass follows, and by which rule: the one that lets it stand no sooner.
     *
     * @param  list<list<array{int, Rule}>>  $steps  as {@see steps} gives them
     * @return array{int, Rule}|null
     */
    public static function pass(Pass $pass, array $steps): ?array
    {
        $nearest = null;
        foreach ($pass->steps as $i) {
            foreach ($steps[$i] ?? [] as [$earlier, $rule]) {
                $isOutside = $earlier < $pass->steps[0];
                if ($isOutside && $rule !== Rule::SamePot && ($nearest === null || $earlier > $nearest[0])) {
                    $nearest = [$earlier, $rule];
                }
            }
        }

        return $nearest;
    }
}
