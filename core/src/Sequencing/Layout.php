<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Sculpt\Sculpt;

/**
 * Lays the steps out in one order that keeps every rule. Among what is free to come next: shortest waiting for the
 * batch at hand, then the pot that is open, then a pot no later step will ask for again, then the order of the areas.
 */
final class Layout
{
    /** @var array<int, array{float, float, float}|null> by place of an area (the last for the whole model): start, minutes and drying of the last coat */
    private array $wet;

    /** @var array<int, array{float, float, float}|null> the same for coats that must not be disturbed from a neighbouring area */
    private array $wetAround;

    /** @var array<int, list<int>> by place of an area: the places of those it touches */
    private array $neighbours;

    private float $now = 0.0;

    /**
     * @param  list<Step>  $steps
     * @param  int  $pieces  how many are worked together, step by step
     */
    public function __construct(private readonly array $steps, private readonly Sculpt $sculpt, private readonly int $pieces)
    {
        $areas = count($sculpt->areas);
        $this->wet = $this->wetAround = array_fill(0, $areas + 1, null);
        $neighbours = [];
        foreach ($sculpt->areas as $place => $area) {
            $neighbours[$place] = [];
            foreach ($sculpt->areas as $other => $neighbour) {
                if ($sculpt->touch($area->key, $neighbour->key)) {
                    $neighbours[$place][] = $other;
                }
            }
        }
        $this->neighbours = $neighbours;
    }

    public function order(Precedence $edges): OrderedWork
    {
        $cycles = $this->breakCircles($edges);
        $before = $edges->reversed();
        $waits = array_map(count(...), $before);
        $pots = array_map(fn (Step $s) => $s->pot(), $this->steps);
        $left = array_count_values($pots);
        $free = array_fill_keys(array_keys($waits, 0, true), true);
        $open = '';
        $waiting = 0.0;
        $order = [];
        $held = [];
        $passes = [];
        while ($free !== []) {
            [$pot, $members, $start, $why] = $this->next(array_keys($free), $pots, $left, $open);
            $waiting += max(0.0, $start - $this->now);
            $minutes = $this->minutesOf($members);
            foreach ($members as $i) {
                $held[] = $this->rulesHolding($before[$i], $pot === $open, $why);
                $order[] = $i;
                unset($free[$i]);
                $left[$pot]--;
            }
            $numbers = range(count($order) - count($members), count($order) - 1);
            $passes[] = new Pass($numbers, $minutes, max(array_map(fn (int $i) => $this->steps[$i]->technique->dry, $members)));
            $this->paint($members, $start, $minutes);
            $this->now = $start + $minutes * $this->pieces;
            $open = $pot;
            foreach ($members as $i) {
                foreach (array_keys($edges->after($i)) as $later) {
                    if (--$waits[$later] === 0) {
                        $free[$later] = true;
                    }
                }
            }
        }

        return new OrderedWork(array_map(fn (int $i) => $this->steps[$i], $order), $held, $passes, $cycles, $waiting, $this->longestChain($order, $before));
    }

    /** @return list<Cycle> */
    private function breakCircles(Precedence $edges): array
    {
        $cycles = [];
        while (($circle = $edges->circle()) !== null) {
            $rules = [];
            $areas = [];
            $weakest = null;
            $words = [];
            foreach ($circle as $k => $step) {
                $next = $circle[($k + 1) % count($circle)];
                $of = $edges->after($step)[$next];
                $rule = array_reduce($of, fn (?Rule $a, Rule $b) => $a === null || $b->strength() > $a->strength() ? $b : $a);
                if ($rule === null) {
                    continue;
                }
                $rules[$rule->value] = $rule;
                $area = $this->steps[$step]->area;
                if ($area !== null) {
                    $areas[$area->key] = true;
                }
                if ($weakest === null || $rule->strength() < $weakest[2]->strength()) {
                    $weakest = [$step, $next, $rule];
                }
                $words[] = "{$this->name($step)} comes before {$this->name($next)} ($rule->value: {$rule->words()})";
            }
            if ($weakest === null) {
                break;
            }
            $edges->drop($weakest[0], $weakest[1]);
            $cycles[] = new Cycle(array_map(strval(...), array_keys($areas)), array_values($rules), $weakest[2],
                implode('; ', $words).". No order keeps all of these; the plan gives up {$weakest[2]->value} here.");
        }

        return $cycles;
    }

    private function name(int $i): string
    {
        $step = $this->steps[$i];

        return mb_strtolower($step->technique->name).($step->area === null ? ' on the whole model' : " on {$step->area->key}");
    }

    /**
     * @param  list<int>  $free
     * @param  list<string>  $pots
     * @param  array<string, int>  $left
     * @return array{string, non-empty-list<int>, float, bool} the pot, the steps done with it now, their start, and whether drying held them
     */
    private function next(array $free, array $pots, array $left, string $open): array
    {
        $byPot = [];
        $ready = [];
        foreach ($free as $i) {
            $ready[$i] = max($this->now, $this->readyAt($i));
            $byPot[$pots[$i]][] = $i;
        }
        $best = null;
        foreach ($byPot as $pot => $members) {
            $start = min(array_map(fn (int $i) => $ready[$i], $members));
            $now = array_values(array_filter($members, fn (int $i) => $ready[$i] <= $start + 1e-9));
            usort($now, fn (int $a, int $b) => [$this->placeOf($a), $a] <=> [$this->placeOf($b), $b]);
            $rank = [
                $start,
                (string) $pot === $open ? 0 : 1,
                $left[$pot] === count($now) ? 0 : 1,
                $this->steps[$now[0]]->phase->value,
                $this->placeOf($now[0]),
                $now[0],
            ];
            if ($best === null || $rank < $best[0]) {
                $best = [$rank, (string) $pot, $now];
            }
        }
        assert($best !== null && $best[2] !== []);

        return [$best[1], $best[2], $best[0][0], $best[0][0] > $this->now + 1e-9];
    }

    private function placeOf(int $i): int
    {
        $area = $this->steps[$i]->area;

        return $area === null ? count($this->sculpt->areas) : $this->sculpt->place($area->key);
    }

    /** The first minute at which a step can start on the first piece without touching wet paint on any. */
    private function readyAt(int $i): float
    {
        $step = $this->steps[$i];
        $ready = 0.0;
        if ($step->area === null) {
            foreach ($this->wet as $coat) {
                $ready = max($ready, $this->dryAt($coat, $step->minutes));
            }

            return $ready;
        }
        $place = $this->placeOf($i);
        $ready = max($this->dryAt($this->wet[$place], $step->minutes), $this->dryAt($this->wet[count($this->sculpt->areas)], $step->minutes));
        foreach ($this->neighbours[$place] as $other) {
            $ready = max($ready, $this->dryAt($this->wetAround[$other], $step->minutes));
        }

        return $ready;
    }

    /**
     * Working n pieces step by step, piece k ends a coat at start + k·h and begins the next at start' + (k−1)·h': the
     * tightest piece is the first where h' ≥ h, else the last.
     *
     * @param  array{float, float, float}|null  $coat
     */
    private function dryAt(?array $coat, float $minutes): float
    {
        if ($coat === null) {
            return 0.0;
        }
        [$start, $each, $drying] = $coat;

        return $start + $drying + ($minutes >= $each ? $each : $this->pieces * $each - ($this->pieces - 1) * $minutes);
    }

    /** @param  list<int>  $members */
    private function paint(array $members, float $start, float $minutes): void
    {
        foreach ($members as $i) {
            $step = $this->steps[$i];
            $place = $this->placeOf($i);
            $coat = [$start, $minutes, $step->drying()];
            $this->wet[$place] = $coat;
            if ($step->isMessy() && $step->area !== null) {
                $this->wetAround[$place] = $coat;
            }
        }
    }

    /** @param  list<int>  $members */
    private function minutesOf(array $members): float
    {
        $minutes = 0.0;
        $handling = 0.0;
        foreach ($members as $i) {
            $minutes += $this->steps[$i]->minutes - $this->steps[$i]->handling;
            $handling = max($handling, $this->steps[$i]->handling);
        }

        return $minutes + $handling;
    }

    /**
     * @param  array<int, array<string, Rule>>  $before
     * @return list<Rule>
     */
    private function rulesHolding(array $before, bool $samePot, bool $dried): array
    {
        $rules = [];
        foreach ($before as $byRule) {
            $rules += $byRule;
        }
        if ($dried) {
            $rules[Rule::DryThrough->value] = Rule::DryThrough;
        }
        if ($samePot) {
            $rules[Rule::SamePot->value] = Rule::SamePot;
        }

        return array_values(array_filter(Rule::cases(), fn (Rule $r) => isset($rules[$r->value])));
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, array<int, array<string, Rule>>>  $before
     */
    private function longestChain(array $order, array $before): float
    {
        $end = [];
        $longest = 0.0;
        foreach ($order as $i) {
            $start = 0.0;
            foreach (array_keys($before[$i]) as $earlier) {
                $step = $this->steps[$earlier];
                $start = max($start, $end[$earlier] + ($this->waitsFor($i, $earlier) ? $step->drying() : 0.0));
            }
            $end[$i] = $start + $this->steps[$i]->minutes;
            $longest = max($longest, $end[$i]);
        }

        return $longest;
    }

    /** Whether one step must wait until the other has dried: on the same area, around messy coats, and over all. */
    private function waitsFor(int $later, int $earlier): bool
    {
        [$over, $under] = [$this->steps[$later], $this->steps[$earlier]];

        return $over->area === null || $under->area === null || $over->area->key === $under->area->key
            || ($under->isMessy() && $this->sculpt->touch($over->area->key, $under->area->key));
    }
}
