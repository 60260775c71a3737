<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/** Which steps must come before which, and by what rules. Steps are named by their place in a list. */
final class PrecedenceGraph
{
    /** @var array<int, array<int, array<string, Rule>>> by the earlier step, then the later one: rules by their id */
    private array $after = [];

    public function __construct(public readonly int $steps)
    {
    }

    public function put(int $earlier, int $later, Rule $rule): void
    {
        if ($earlier !== $later) {
            $this->after[$earlier][$later][$rule->value] = $rule;
        }
    }

    /** @param  array<string, Rule>  $rules  that hold between the two from now on; none: they are free */
    public function set(int $earlier, int $later, array $rules): void
    {
        if ($rules === []) {
            unset($this->after[$earlier][$later]);
        } else {
            $this->after[$earlier][$later] = $rules;
        }
    }

    public function has(int $earlier, int $later): bool
    {
        return isset($this->after[$earlier][$later]);
    }

    public function drop(int $earlier, int $later): void
    {
        unset($this->after[$earlier][$later]);
    }

    /** @return array<int, array<string, Rule>> the steps that must come later, with the rules */
    public function after(int $step): array
    {
        return $this->after[$step] ?? [];
    }

    /** @return array<int, array<int, array<string, Rule>>> the same edges, by the later step */
    public function reversed(): array
    {
        $before = array_fill(0, $this->steps, []);
        foreach ($this->after as $earlier => $laters) {
            foreach ($laters as $later => $rules) {
                $before[$later][$earlier] = $rules;
            }
        }

        return $before;
    }

    /**
     * All that must come after a step, by whatever way but through some.
     *
     * @param  list<int>  $but
     * @return array<int, true>
     */
    public function reachedFrom(int $step, array $but = []): array
    {
        $reached = array_fill_keys($but, true);
        $open = [$step];
        while ($open !== []) {
            foreach (array_keys($this->after[array_pop($open)] ?? []) as $later) {
                if (! isset($reached[$later])) {
                    $reached[$later] = true;
                    $open[] = $later;
                }
            }
        }

        return array_diff_key($reached, array_fill_keys($but, true));
    }

    /**
     * The shortest circle of edges, as the steps on it; null when there is none.
     *
     * @return non-empty-list<int>|null
     */
    public function circle(): ?array
    {
        $left = $this->onCircles();
        $shortest = null;
        foreach (array_keys($left) as $start) {
            $way = $this->wayBack($start, $left, $shortest === null ? PHP_INT_MAX : count($shortest));
            if ($way !== null) {
                $shortest = $way;
            }
        }

        return $shortest;
    }

    /** @return array<int, true> steps that no order can place, because they wait for one another */
    private function onCircles(): array
    {
        $waits = array_fill(0, $this->steps, 0);
        foreach ($this->after as $laters) {
            foreach (array_keys($laters) as $later) {
                $waits[$later]++;
            }
        }
        $free = array_keys($waits, 0, true);
        $left = array_fill_keys(array_keys($waits), true);
        while ($free !== []) {
            $step = array_pop($free);
            unset($left[$step]);
            foreach (array_keys($this->after[$step] ?? []) as $later) {
                if (--$waits[$later] === 0) {
                    $free[] = $later;
                }
            }
        }

        return $left;
    }

    /**
     * @param  array<int, true>  $within
     * @return non-empty-list<int>|null the shortest way from a step back to itself, if shorter than $than
     */
    private function wayBack(int $start, array $within, int $than): ?array
    {
        $from = [];
        $queue = [[$start, 0]];
        for ($head = 0; $head < count($queue); $head++) {
            [$step, $length] = $queue[$head];
            if ($length + 1 >= $than) {
                return null;
            }
            foreach (array_keys($this->after[$step] ?? []) as $later) {
                if ($later === $start) {
                    $way = [$step];
                    while ($step !== $start) {
                        $step = $from[$step];
                        array_unshift($way, $step);
                    }

                    return $way;
                }
                if (isset($within[$later]) && ! isset($from[$later])) {
                    $from[$later] = $step;
                    $queue[] = [$later, $length + 1];
                }
            }
        }

        return null;
    }
}
