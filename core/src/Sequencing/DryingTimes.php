<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Sculpt\Sculpt;

/** When the steps of a batch can start without touching wet paint, and what must dry one after another. */
final readonly class DryingTimes
{
    /** @var array<int, list<int>> by place of an area: the places of those it touches while they are painted */
    private array $neighbours;

    /** @var list<int> by step: the place of its area; what is done on the whole model has the place after the last */
    public array $places;

    /**
     * @param  list<Step>  $steps
     * @param  int  $pieces  how many are worked together, step by step
     */
    public function __construct(private array $steps, private Sculpt $sculpt, private int $pieces)
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
        $this->places = array_map(
            fn (Step $s) => $s->area === null ? count($sculpt->areas) : $sculpt->place($s->area->key),
            $steps,
        );
    }

    /**
     * When a pass over these steps can start: it takes as long on each piece as all of them together.
     *
     * @param  non-empty-list<int>  $members
     */
    public function startOf(array $members, PartialSchedule $at): float
    {
        $minutes = $this->minutesOf($members);

        return max($at->now, ...array_map(fn (int $i) => $this->readyAt($at, $i, $minutes), $members));
    }

    /** The first minute at which a step can start on the first piece without touching wet paint on any. */
    public function readyAt(PartialSchedule $at, int $i, float $minutes): float
    {
        $step = $this->steps[$i];
        $ready = 0.0;
        if ($step->area === null) {
            foreach ($at->wet as $coat) {
                $ready = max($ready, $this->dryAt($coat, $minutes));
            }

            return $ready;
        }
        $place = $this->places[$i];
        $ready = max(
            $this->dryAt($at->wet[$place], $minutes),
            $this->dryAt($at->wet[count($this->sculpt->areas)], $minutes),
        );
        foreach ($this->neighbours[$place] as $other) {
            $ready = max($ready, $this->dryAt($at->wetAround[$other], $minutes));
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

        return $start +
            $drying +
            ($minutes >= $each ? $each : $this->pieces * $each - ($this->pieces - 1) * $minutes);
    }

    /** @param  list<int>  $members */
    public function minutesOf(array $members): float
    {
        $minutes = 0.0;
        $handling = 0.0;
        foreach ($members as $i) {
            $minutes += $this->steps[$i]->minutes - $this->steps[$i]->handling;
            $handling = max($handling, $this->steps[$i]->handling);
        }

        return $minutes + $handling;
    }

    /** Whether one step must wait until the other has dried: on the same area, around messy coats, and over all. */
    private function waitsFor(int $later, int $earlier): bool
    {
        [$over, $under] = [$this->steps[$later], $this->steps[$earlier]];

        return $over->area === null ||
            $under->area === null ||
            $over->area->key === $under->area->key ||
            ($under->isMessy() && $this->sculpt->touchAtWork($over->area->key, $under->area->key));
    }

    /**
     * Minutes from the start of each step to the end of what must follow it, drying in between.
     *
     * @param  array<int, array<int, array<string, Rule>>>  $before
     * @return array<int, float>
     */
    public function tails(PrecedenceGraph $edges, array $before): array
    {
        $tails = array_map(fn (Step $s) => $this->pieces * $s->minutes, $this->steps);
        $waits = array_map(fn (int $i) => count($edges->after($i)), array_keys($this->steps));
        $last = array_keys($waits, 0, true);
        while ($last !== []) {
            $i = array_pop($last);
            foreach ($before[$i] as $earlier => $rules) {
                $dries = ! isset($rules[Rule::WhileWet->value]) && $this->waitsFor($i, $earlier);
                $tails[$earlier] = max(
                    $tails[$earlier],
                    $this->steps[$earlier]->minutes + ($dries ? $this->steps[$earlier]->drying() : 0.0) + $tails[$i],
                );
                if (--$waits[$earlier] === 0) {
                    $last[] = $earlier;
                }
            }
        }

        return $tails;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, array<int, array<string, Rule>>>  $before
     */
    public function criticalPath(array $order, array $before): float
    {
        $end = [];
        $longest = 0.0;
        foreach ($order as $i) {
            $start = 0.0;
            foreach (array_keys($before[$i]) as $earlier) {
                $step = $this->steps[$earlier];
                $wet = isset($before[$i][$earlier][Rule::WhileWet->value]);
                $start = max(
                    $start,
                    $end[$earlier] + (! $wet && $this->waitsFor($i, $earlier) ? $step->drying() : 0.0),
                );
            }
            $end[$i] = $start + $this->steps[$i]->minutes;
            $longest = max($longest, $end[$i]);
        }

        return $longest;
    }
}
