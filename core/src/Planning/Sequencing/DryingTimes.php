<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;

/** When the steps of a batch can start without touching wet paint, and what must dry one after another. */
final readonly class DryingTimes
{
    /** @var list<list<int>> by place of an area: the places of those it touches while they are painted */
    public array $neighbours;

    /** @var list<int> by step: the place of its area; what is done on the whole model has the place after the last */
    public array $places;

    /** @var list<float> by step: minutes until something may go over it, beside the hand minutes */
    public array $drying;

    /** @var list<bool> by step: whether it strays onto neighbouring areas */
    public array $isMessy;

    /** @var list<float> by step: its minutes without the handling that a pass over several areas needs only once */
    private array $hand;

    /** @var list<list<int>> by step: the steps that its coat may hold up */
    public array $holdsUp;

    /** The place of what is done on the whole model. */
    public int $everywhere;

    /**
     * @param  list<Step>  $steps
     * @param  int  $pieces  how many are worked together, step by step
     */
    public function __construct(private array $steps, private Sculpt $sculpt, private int $pieces)
    {
        $neighbours = [];
        foreach ($sculpt->areas as $area) {
            $touching = fn (Area $other): bool => $sculpt->touchAtWork($area->key, $other->key);
            $neighbours[] = array_keys(array_filter($sculpt->areas, $touching));
        }
        $this->neighbours = $neighbours;
        $this->everywhere = count($sculpt->areas);
        $this->places = array_map(
            fn (Step $s) => $s->area === null ? count($sculpt->areas) : $sculpt->place($s->area->key),
            $steps,
        );
        $this->drying = array_map(fn (Step $s) => $s->drying(), $steps);
        $this->isMessy = array_map(fn (Step $s) => $s->isMessy() && $s->area !== null, $steps);
        $this->hand = array_map(fn (Step $s) => $s->minutes - $s->handling, $steps);
        $this->holdsUp = array_map($this->heldUpBy(...), array_keys($steps));
    }

    /** @return list<int> steps */
    private function heldUpBy(int $i): array
    {
        $place = $this->places[$i];
        if ($place === $this->everywhere) {
            return array_keys($this->steps);
        }
        $near = [$place => true, $this->everywhere => true];
        foreach ($this->isMessy[$i] ? $this->neighbours[$place] : [] as $other) {
            $near[$other] = true;
        }

        return array_keys(array_filter($this->places, fn (int $p) => isset($near[$p])));
    }

    /**
     * When a pass over these steps can start: it takes as long on each piece as all of them together.
     *
     * @param  non-empty-list<int>  $members
     * @param  float  $slips  minutes of one piece that it takes besides
     */
    public function startOf(array $members, PartialSchedule $at, float $slips): float
    {
        $minutes = $this->minutesOf($members) + $slips;
        $start = $at->now;
        foreach ($members as $i) {
            $ready = $this->readyAt($at, $i, $minutes);
            $start = $ready > $start ? $ready : $start;
        }

        return $start;
    }

    /**
     * The first minute at which a step can start on the first piece without touching wet paint on any.
     *
     * Working n pieces step by step, piece k ends a coat at start + k·h and begins the next at start' + (k−1)·h': the
     * tightest piece is the first where h' ≥ h, else the last. The search asks this more often than anything else, so
     * it is written out here.
     */
    public function readyAt(PartialSchedule $at, int $i, float $minutes): float
    {
        $place = $this->places[$i];
        if ($place === $this->everywhere) {
            $coats = $at->wet;
        } else {
            $coats = [];
            if (isset($at->wet[$place])) {
                $coats[] = $at->wet[$place];
            }
            if (isset($at->wet[$this->everywhere])) {
                $coats[] = $at->wet[$this->everywhere];
            }
            foreach ($this->neighbours[$place] as $other) {
                if (isset($at->wetAround[$other])) {
                    $coats[] = $at->wetAround[$other];
                }
            }
        }
        $ready = 0.0;
        $lag = ($this->pieces - 1) * $minutes;
        foreach ($coats as [$start, $each, $drying]) {
            $dry = $start + $drying + ($minutes >= $each ? $each : $this->pieces * $each - $lag);
            if ($dry > $ready) {
                $ready = $dry;
            }
        }

        return $ready;
    }

    /**
     * @param  list<int>  $members
     * @return list<int>
     */
    public function placesOf(array $members): array
    {
        return array_map(fn (int $i) => $this->places[$i], $members);
    }

    /** @param  list<int>  $members */
    public function minutesOf(array $members): float
    {
        $minutes = 0.0;
        $handling = 0.0;
        foreach ($members as $i) {
            $minutes += $this->hand[$i];
            $handling = max($handling, $this->steps[$i]->handling);
        }

        return $minutes + $handling;
    }

    /** Whether one step must wait until the other has dried: on the same area, around messy coats, and over all. */
    public function waitsFor(int $later, int $earlier): bool
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
