<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Sculpt\Sculpt;

/**
 * Lays the steps out in one order that keeps every rule. Among what is free to come next: shortest waiting for the
 * batch at hand, then fewest minutes for slips, then fewest changes of pot, then what goes on on an area of the last
 * pass, then the order of the areas, then the phase; what dries for hours is begun as soon as it can be. A beam search
 * over the pots that could come next: of the beginnings with as many passes, those are followed that can end soonest,
 * by the work and the longest drying chain that are left, have strayed least, and, with the pots that are still to come
 * at the least, will have changed pots least.
 */
final class PassScheduler
{
    /** Beginnings that are followed at a time. */
    private const BEAM = 6;

    /** Pots that are tried next for each of them. */
    private const BRANCHES = 3;

    /** Waiting that differs by less than this many minutes is the same: minutes are whole on the bench. */
    private const SAME = 0.5;

    /** Minutes a pass may start later than another could, if it then takes more areas along. */
    private const WAIT_FOR_MORE = 2.0;

    private readonly DryingTimes $drying;

    private readonly Slips $slips;

    /** @var list<string> */
    private array $pots;

    /** @var array<int, int> by step: its turn among the steps of one pass */
    private array $turns = [];

    /** @var array<int, float> by step: minutes from its start to the end of what must follow it */
    private array $tails = [];

    /** @var array<int, int> by step: its rank in an order made by hand; none without one */
    private array $ranks = [];

    /** @var list<int> by step: the stopping point it belongs to; none: one stage */
    private array $stages = [];

    /**
     * @param  list<Step>  $steps
     * @param  int  $pieces  how many are worked together, step by step
     * @param  array<string, float>  $touchUp  by area key: minutes to put right what strayed onto it; none: free
     */
    public function __construct(
        private readonly array $steps,
        Sculpt $sculpt,
        private readonly int $pieces,
        array $touchUp = [],
    ) {
        $this->drying = new DryingTimes($steps, $sculpt, $pieces);
        $this->slips = new Slips($steps, $this->drying, $touchUp);
        $this->pots = array_map(fn (Step $s) => $s->pot(), $steps);
    }

    /**
     * @param  list<StepKey>  $sequence  of steps, with or without their paint, in the order they were put in
     *     by hand: kept as far as the rules let it
     * @param  list<int>  $stages  for each step the stopping point it belongs to, lowest first; none: one stage
     */
    public function order(PrecedenceGraph $edges, array $sequence = [], array $stages = []): OrderedWork
    {
        $cycles = Circles::breakAll($edges, $this->steps);
        $before = $edges->reversed();
        $this->ranks = HandOrder::ranks($this->steps, $sequence, $edges, $before);
        $this->stages = $stages;
        $this->turns = $this->turnsInPass($edges);
        $work = $this->search($edges, $before);
        $held = [];
        $passes = [];
        foreach ($work->passes as [$members, $minutes, $open, $dried, $slips]) {
            foreach ($members as $i) {
                $held[] = $this->rulesHolding($before[$i], $open, $dried);
            }
            $passes[] = new Pass(
                range(count($held) - count($members), count($held) - 1),
                $minutes,
                max(array_map(fn (int $i) => $this->steps[$i]->technique->dry, $members)),
                $slips,
            );
        }

        return new OrderedWork(
            array_map(fn (int $i) => $this->steps[$i], $work->order),
            $held,
            $passes,
            $cycles,
            $work->idle,
            $this->drying->criticalPath($work->order, $before),
        );
    }

    /** @param  array<int, array<int, array<string, Rule>>>  $before */
    private function search(PrecedenceGraph $edges, array $before): PartialSchedule
    {
        $start = new PartialSchedule();
        $start->waits = array_map(count(...), $before);
        $start->free = array_fill_keys(array_keys($start->waits, 0, true), true);
        $start->left = array_count_values($this->pots);
        $start->potsLeft = count($start->left);
        $start->done = str_repeat('0', count($this->steps));
        $start->covers = $this->slips->covers();
        $start->handLeft = $this->pieces * array_sum(array_map(fn (Step $s) => $s->minutes, $this->steps));
        $this->tails = $this->ranks === [] ? $this->drying->tails($edges, $before) : [];
        $beam = [$start];
        $done = null;
        while ($beam !== []) {
            $next = [];
            foreach ($beam as $nth => $at) {
                foreach ($this->options($at) as $k => [$members, $from]) {
                    $then = clone $at;
                    $this->work($then, $members, $from, $edges);
                    $rank = [...$this->outlook($then), $nth, $k];
                    if ($then->free === []) {
                        $done = $done === null || $then->betterThan($done, self::SAME) ? $then : $done;

                        continue;
                    }
                    $same = $then->done;
                    if (! isset($next[$same]) || $rank < $next[$same][0]) {
                        $next[$same] = [$rank, $then];
                    }
                }
            }
            usort($next, fn (array $a, array $b) => $a[0] <=> $b[0]);
            $beam = array_map(fn (array $n) => $n[1], array_slice($next, 0, self::BEAM));
            if ($done !== null) {
                $beam = array_values(
                    array_filter($beam, fn (PartialSchedule $b) => $b->betterThan($done, self::SAME)),
                );
            }
        }

        return $done ?? $start;
    }

    /** @param  non-empty-list<int>  $members */
    private function work(PartialSchedule $at, array $members, float $from, PrecedenceGraph $edges): void
    {
        $pot = $this->pots[$members[0]];
        $same = $pot === $at->open;
        $slips = $this->slips->of($members, $at);
        $strays = Slips::minutes($slips);
        $minutes = $this->drying->minutesOf($members) + $strays;
        $at->passes[] = [$members, $minutes, $same, $from > $at->now + 1e-9, $slips];
        $at->slips += $strays;
        $at->idle += max(0.0, $from - $at->now);
        $at->changes += $same ? 0 : 1;
        $at->open = $pot;
        $at->lastPlaces = $this->drying->placesOf($members);
        $at->next = $at->next === [] ? [] : array_diff_key($at->next, array_fill_keys($members, true));
        foreach ($members as $i) {
            $at->order[] = $i;
            $at->done[$i] = '1';
            unset($at->free[$i]);
            $coat = [$from, $minutes, $this->drying->drying[$i]];
            $at->wet[$this->drying->places[$i]] = $coat;
            if ($this->drying->isMessy[$i]) {
                $at->wetAround[$this->drying->places[$i]] = $coat;
            }
            $this->slips->paint($at, $i);
            foreach ($this->drying->holdsUp[$i] as $held) {
                unset($at->ready[$held]);
            }
            foreach ($edges->after($i) as $later => $rules) {
                if (--$at->waits[$later] === 0) {
                    $at->free[$later] = true;
                }
                if (isset($rules[Rule::WhileWet->value])) {
                    $at->next[$later] = true;
                } elseif ($this->steps[$i]->sprays !== [] && $this->steps[$later]->phase === Phase::Base) {
                    $at->next[$later] = false;
                }
            }
        }
        $at->left[$pot] -= count($members);
        $at->potsLeft -= $at->left[$pot] === 0 ? 1 : 0;
        $at->now = $from + $minutes * $this->pieces;
        $at->handLeft -= $this->pieces * array_sum(array_map(fn (int $i) => $this->steps[$i]->minutes, $members));
    }

    /**
     * By what beginnings are compared, the smaller the better. An order made by hand has one way to go on.
     *
     * @return list<float|int>
     */
    private function outlook(PartialSchedule $at): array
    {
        return $this->ranks !== []
            ? []
            : [round($this->endAtLeast($at)), round($at->slips, 6), $at->changesAtLeast(), -count($at->order)];
    }

    /**
     * When the batch cannot be done sooner: after all the work that is left, and after the longest chain of drying
     * that
     * starts from something that is free now.
     */
    private function endAtLeast(PartialSchedule $at): float
    {
        $end = $at->now + $at->handLeft;
        foreach ($at->free as $i => $_) {
            $ready = $at->ready[$i] ??= $this->drying->readyAt($at, $i, $this->steps[$i]->minutes);
            $then = ($ready > $at->now ? $ready : $at->now) + $this->tails[$i];
            $end = $then > $end ? $then : $end;
        }

        return $end;
    }

    /**
     * The passes that could come next without waiting longer than needed, the likeliest first.
     *
     * @return list<array{non-empty-list<int>, float}> steps, and when the first of them starts
     */
    private function options(PartialSchedule $at): array
    {
        $next = array_intersect_key($at->next, $at->free);
        $into = array_keys($next, true, true) ?: array_keys($next);
        $isWet = $next[$into[0] ?? -1] ?? false;
        $possible = [];
        $soonest = INF;
        foreach ($this->byPot($at, $into) as $pot => $members) {
            $passes = match (true) {
                $isWet => [[$members, $at->now]],
                $into !== [], $this->ranks !== [] => [[$members, $this->startOf($members, $at)]],
                default => $this->passesOf($members, $at),
            };
            foreach ($passes as [$now, $from]) {
                $possible[] = [(string) $pot, $now, $from];
                $soonest = min($soonest, $from);
            }
        }
        $options = $open = $long = [];
        foreach ($possible as [$pot, $now, $from]) {
            if ($from > $soonest + self::WAIT_FOR_MORE) {
                continue;
            }
            $now = $this->inPassOrder($now);
            $likely = [
                round($from),
                $pot === $at->open ? 0 : 1,
                $at->left[$pot] - count($now),
                array_intersect($this->drying->placesOf($now), $at->lastPlaces) === [] ? 1 : 0,
                $this->drying->places[$now[0]],
                $this->steps[$now[0]]->phase->value,
                $now[0],
            ];
            $options[] = [$likely, $now, $from];
            if ($this->steps[$now[0]]->driesForHours()) {
                $long[] = [$likely, $now, $from];
            }
            // What is open goes on while there is anything for it: closing a pot early never saves one.
            if ($pot === $at->open && $from <= $soonest + self::SAME) {
                $open[] = [$likely, $now, $from];
            }
        }
        $options = $long !== [] && $this->ranks === [] ? $long : ($open === [] ? $options : $open);
        usort($options, fn (array $a, array $b) => $a[0] <=> $b[0]);

        return array_map(fn (array $o) => [$o[1], $o[2]], array_slice($options, 0, self::BRANCHES));
    }

    /**
     * What could be done next, pot by pot: what goes into wet paint or follows its masking before all else, only the
     * lowest stage, and the one whose turn it is where the order was made by hand.
     *
     * @param  list<int>  $into  free steps that must come next
     * @return array<string, non-empty-list<int>>
     */
    private function byPot(PartialSchedule $at, array $into): array
    {
        $free = $into === [] ? array_keys($at->free) : $into;
        if ($this->stages !== [] && $free !== []) {
            $stage = min(array_map(fn (int $i) => $this->stages[$i], $free));
            $free = array_values(array_filter($free, fn (int $i) => $this->stages[$i] === $stage));
        }
        $byPot = [];
        foreach ($free as $i) {
            $byPot[$this->pots[$i]][] = $i;
        }
        if ($this->ranks === []) {
            return $byPot;
        }
        $lead = array_reduce(
            $free,
            fn (?int $best, int $i) => $best === null || [$this->ranks[$i], $i] < [$this->ranks[$best], $best]
                ? $i
                : $best,
        );

        $pot = $lead === null ? '' : $this->pots[$lead];

        return $lead === null ? [] : [$pot => HandOrder::run($byPot[$pot], $this->ranks, $at->order)];
    }

    /**
     * In one pass what something wet goes into is done last, else by hand or by the order of the areas.
     *
     * @return array<int, int> by step
     */
    private function turnsInPass(PrecedenceGraph $edges): array
    {
        $keys = [];
        foreach (array_keys($this->steps) as $i) {
            $isFed = fn (array $rules): bool => isset($rules[Rule::WhileWet->value]);
            $feedsWet = array_filter($edges->after($i), $isFed) !== [];
            $keys[] = [$feedsWet, $this->ranks[$i] ?? 0, $this->drying->places[$i], $i];
        }
        asort($keys);

        return array_flip(array_keys($keys));
    }

    /**
     * @param  non-empty-list<int>  $members
     * @return non-empty-list<int>
     */
    private function inPassOrder(array $members): array
    {
        if (count($members) === 1) {
            return $members;
        }
        $byTurn = [];
        foreach ($members as $i) {
            $byTurn[$this->turns[$i]] = $i;
        }
        ksort($byTurn);

        return array_values($byTurn);
    }

    /**
     * A pass over all that want the pot, and, where some of them are dry sooner, one over those alone.
     *
     * @param  non-empty-list<int>  $members
     * @return non-empty-list<array{non-empty-list<int>, float}> steps, and when the pass can start
     */
    private function passesOf(array $members, PartialSchedule $at): array
    {
        $all = $this->startOf($members, $at);
        $isTogether = $this->steps[$members[0]]->phase === Phase::Underlay;
        if (count($members) === 1 || $isTogether || $all <= $at->now + self::SAME) {
            return [[$members, $all]];
        }
        $alone = array_map(
            fn (int $i) => max(
                $at->now,
                $at->ready[$i] ??= $this->drying->readyAt($at, $i, $this->steps[$i]->minutes),
            ),
            $members,
        );
        $soonest = min($alone);
        $dry = array_values(
            array_filter($members, fn (int $i, int $k) => $alone[$k] <= $soonest + self::SAME, ARRAY_FILTER_USE_BOTH),
        );
        if ($dry === [] || count($dry) === count($members)) {
            return [[$members, $all]];
        }
        $some = $this->startOf($dry, $at);

        return $some < $all - self::SAME ? [[$members, $all], [$dry, $some]] : [[$members, $all]];
    }

    /** @param  non-empty-list<int>  $members */
    private function startOf(array $members, PartialSchedule $at): float
    {
        return $this->drying->startOf($members, $at, Slips::minutes($this->slips->of($members, $at)));
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
}
