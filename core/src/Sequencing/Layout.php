<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Sculpt\Sculpt;

/**
 * Lays the steps out in one order that keeps every rule. Among what is free to come next: shortest waiting for the
 * batch at hand, then the open pot, then a pot no later step will ask for again, then the order of the areas. Several
 * ways to break the ties between pots are tried; the order that waits least and then changes pots least is kept.
 */
final class Layout
{
    /** Ways to choose the next pot where drying does not decide. */
    private const WAYS = 4;

    /** Pots closer in waiting than this many minutes wait the same. */
    private const SAME = 1e-6;

    /** @var array<int, array{float, float, float}|null> by place of an area (the last for the whole model): start, minutes and drying of the last coat */
    private array $wet;

    /** @var array<int, array{float, float, float}|null> the same for coats that must not be disturbed from a neighbouring area */
    private array $wetAround;

    /** @var array<int, list<int>> by place of an area: the places of those it touches while they are painted */
    private array $neighbours;

    /** @var list<int> by step: the place of its area */
    private array $places;

    /** @var list<string> */
    private array $pots;

    /** @var list<int> by step: 1 where something goes into it while it is wet, so that in a pass it is done last */
    private array $feedsWet = [];

    private float $now = 0.0;

    /**
     * @param  list<Step>  $steps
     * @param  int  $pieces  how many are worked together, step by step
     */
    public function __construct(private readonly array $steps, private readonly Sculpt $sculpt, private readonly int $pieces)
    {
        $neighbours = [];
        foreach ($sculpt->areas as $place => $area) {
            $neighbours[$place] = [];
            foreach ($sculpt->areas as $other => $neighbour) {
                if ($sculpt->touchAtWork($area->key, $neighbour->key)) {
                    $neighbours[$place][] = $other;
                }
            }
        }
        $this->neighbours = $neighbours;
        $this->places = array_map(fn (Step $s) => $s->area === null ? count($sculpt->areas) : $sculpt->place($s->area->key), $steps);
        $this->pots = array_map(fn (Step $s) => $s->pot(), $steps);
        $this->wet = $this->wetAround = array_fill(0, count($sculpt->areas) + 1, null);
    }

    /**
     * @param  list<string>  $sequence  keys of steps in the order they were put in by hand: kept as far as the rules let it
     * @param  list<int>  $stages  for each step the stopping point it belongs to, lowest first; none: one stage
     */
    public function order(Precedence $edges, array $sequence = [], array $stages = []): OrderedWork
    {
        $cycles = $this->breakCircles($edges);
        $before = $edges->reversed();
        $ranks = $this->ranks($sequence, $edges, $before);
        $this->feedsWet = array_map(fn (int $i) => array_filter($edges->after($i), fn (array $rules) => isset($rules[Rule::WhileWet->value])) === [] ? 0 : 1, array_keys($this->steps));
        $best = null;
        for ($way = 0; $way < ($ranks === [] ? self::WAYS : 1); $way++) {
            $work = $this->arrange($edges, $before, $way, $ranks, $stages);
            if ($best === null || $work['waiting'] < $best['waiting'] - self::SAME
                || ($work['waiting'] <= $best['waiting'] + self::SAME && $work['changes'] < $best['changes'])) {
                $best = $work;
            }
        }
        $order = $best['order'];

        return new OrderedWork(array_map(fn (int $i) => $this->steps[$i], $order), $best['held'], $best['passes'], $cycles, $best['waiting'], $this->longestChain($order, $before));
    }

    /**
     * Steps that were put somewhere by hand keep that order among themselves; one that must come before another stands
     * no later than that.
     *
     * @param  list<string>  $sequence
     * @param  array<int, array<int, array<string, Rule>>>  $before
     * @return array<int, int> by step; none without a sequence
     */
    private function ranks(array $sequence, Precedence $edges, array $before): array
    {
        if ($sequence === []) {
            return [];
        }
        $place = array_flip($sequence);
        $ranks = array_map(fn (Step $s) => $place[$s->key()] ?? count($sequence), $this->steps);
        $waits = array_map(fn (int $i) => count($edges->after($i)), array_keys($this->steps));
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
     * @param  array<int, array<int, array<string, Rule>>>  $before
     * @param  array<int, int>  $ranks
     * @param  list<int>  $stages
     * @return array{order: list<int>, held: list<list<Rule>>, passes: list<Pass>, waiting: float, changes: int}
     */
    private function arrange(Precedence $edges, array $before, int $way, array $ranks, array $stages): array
    {
        $this->wet = $this->wetAround = array_fill(0, count($this->sculpt->areas) + 1, null);
        $this->now = 0.0;
        $waits = array_map(count(...), $before);
        $left = array_count_values($this->pots);
        $free = array_fill_keys(array_keys($waits, 0, true), true);
        $open = '';
        $waiting = 0.0;
        $changes = 0;
        $order = [];
        $held = [];
        $passes = [];
        $wetNow = [];
        while ($free !== []) {
            $into = array_values(array_filter($wetNow, fn (int $i) => isset($free[$i])));
            [$pot, $members, $start, $why] = $this->next($into === [] ? array_keys($free) : $into, $left, $open, $way, $ranks, $stages, $into !== [], $edges);
            $waiting += max(0.0, $start - $this->now);
            $changes += $pot === $open ? 0 : 1;
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
            $wetNow = [];
            foreach ($members as $i) {
                foreach ($edges->after($i) as $later => $rules) {
                    if (--$waits[$later] === 0) {
                        $free[$later] = true;
                    }
                    if (isset($rules[Rule::WhileWet->value])) {
                        $wetNow[] = $later;
                    }
                }
            }
        }

        return ['order' => $order, 'held' => $held, 'passes' => $passes, 'waiting' => $waiting, 'changes' => $changes];
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
     * @param  non-empty-list<int>  $free
     * @param  array<string, int>  $left
     * @param  array<int, int>  $ranks
     * @param  list<int>  $stages
     * @return array{string, non-empty-list<int>, float, bool} the pot, the steps done with it now, their start, and whether drying held them
     */
    private function next(array $free, array $left, string $open, int $way, array $ranks, array $stages, bool $intoWet, Precedence $edges): array
    {
        $byPot = [];
        $ready = [];
        $stage = $stages === [] ? 0 : min(array_map(fn (int $i) => $stages[$i], $free));
        $first = $ranks === [] ? 0 : min(array_map(fn (int $i) => $ranks[$i], $free));
        foreach ($free as $i) {
            if ($stages !== [] && $stages[$i] !== $stage) {
                continue;
            }
            $ready[$i] = $intoWet ? $this->now : max($this->now, $this->readyAt($i));
            $byPot[$this->pots[$i]][] = $i;
        }
        $best = null;
        foreach ($byPot as $pot => $members) {
            $lead = $ranks === [] ? 0 : min(array_map(fn (int $i) => $ranks[$i], $members));
            if ($lead > $first) {
                continue;
            }
            if ($ranks !== []) {
                // By hand, a pass holds what stands next to one another with one pot.
                $members = $this->run($members, $ranks, $free);
            }
            $start = min(array_map(fn (int $i) => $ready[$i], $members));
            $now = array_values(array_filter($members, fn (int $i) => $ready[$i] <= $start + 1e-9));
            usort($now, fn (int $a, int $b) => [$this->feedsWet[$a], $this->places[$a], $a] <=> [$this->feedsWet[$b], $this->places[$b], $b]);
            $closes = $left[$pot] === count($now) ? 0 : 1;
            $isOpen = (string) $pot === $open ? 0 : 1;
            $rank = [
                $lead,
                $start,
                ...match ($way) {
                    0 => [$isOpen, $closes, 0],
                    1 => [$isOpen, $closes, -count($now)],
                    2 => [$isOpen, $closes, $left[$pot] - count($now)],
                    default => [$isOpen, $left[$pot] - count($now), -$this->unlocks($now, $edges)],
                },
                $this->steps[$now[0]]->phase->value,
                $this->places[$now[0]],
                $now[0],
            ];
            if ($best === null || $rank < $best[0]) {
                $best = [$rank, (string) $pot, $now];
            }
        }
        assert($best !== null && $best[2] !== []);

        return [$best[1], $best[2], $best[0][1], $best[0][1] > $this->now + 1e-9];
    }

    /**
     * The steps of one pot that stand next to one another in the order made by hand, from the first of them on.
     *
     * @param  non-empty-list<int>  $members
     * @param  array<int, int>  $ranks
     * @param  list<int>  $free
     * @return non-empty-list<int>
     */
    private function run(array $members, array $ranks, array $free): array
    {
        usort($members, fn (int $a, int $b) => [$ranks[$a], $a] <=> [$ranks[$b], $b]);
        $others = array_map(fn (int $i) => $ranks[$i], array_diff($free, $members));
        $run = [$members[0]];
        foreach (array_slice($members, 1) as $i) {
            if (array_filter($others, fn (int $r) => $r > $ranks[$members[0]] && $r < $ranks[$i]) !== []) {
                break;
            }
            $run[] = $i;
        }

        return $run;
    }

    /** @param  list<int>  $members */
    private function unlocks(array $members, Precedence $edges): int
    {
        $later = [];
        foreach ($members as $i) {
            foreach (array_keys($edges->after($i)) as $j) {
                $later[$this->pots[$j]] = true;
            }
        }

        return count($later);
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
        $place = $this->places[$i];
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
            $place = $this->places[$i];
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
                $wet = isset($before[$i][$earlier][Rule::WhileWet->value]);
                $start = max($start, $end[$earlier] + (! $wet && $this->waitsFor($i, $earlier) ? $step->drying() : 0.0));
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
            || ($under->isMessy() && $this->sculpt->touchAtWork($over->area->key, $under->area->key));
    }
}
