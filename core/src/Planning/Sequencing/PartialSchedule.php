<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/**
 * How far a layout has come: what is done, what is free, what is wet, and when. Only {@see PassScheduler} works on it.
 */
final class PartialSchedule
{
    public float $now = 0.0;

    public float $idle = 0.0;

    public int $changes = 0;

    public string $open = '';

    /** @var list<int> places of the areas of the last pass */
    public array $lastPlaces = [];

    /** @var list<int> */
    public array $order = [];

    /** A 1 for each step that is done: equal for beginnings that have done the same. */
    public string $done = '';

    /**
     * @var list<array{non-empty-list<int>, float, bool, bool, list<Slip>}> steps, minutes, whether the pot was open,
     * whether drying held them, what strays
     */
    public array $passes = [];

    /** @var array<int, bool> steps that must come next, and whether while the coat that was just painted is wet */
    public array $next = [];

    /** Minutes of one piece for what strays onto finished work. */
    public float $slips = 0.0;

    /** @var array<int, int> by place of an area: the last step of its own paint */
    public array $painted = [];

    /** @var array<int, int> by place of an area: steps to come that put right what strays onto it */
    public array $covers = [];

    /** @var array<int, int> by step: how many must come before it that are not done */
    public array $waits = [];

    /** @var array<int, true> */
    public array $free = [];

    /** @var array<string, int> by pot: its steps that are not done */
    public array $left = [];

    public int $potsLeft = 0;

    /** Hand minutes of the batch that are not done, handling counted for every area. */
    public float $handLeft = 0.0;

    /**
     * @var array<int, array{float, float, float}> by place of an area (the last for the whole model) that was
     *     painted: start, minutes and drying of its last coat
     */
    public array $wet = [];

    /**
     * @var array<int, array{float, float, float}> the same for coats that must not be disturbed from a neighbouring
     *     area
     */
    public array $wetAround = [];

    /** @var array<int, float> by free step: when it can start, where no coat that may hold it up came since */
    public array $ready = [];

    /** Changes of pot so far, and one for each pot that will have to be opened still. */
    public function changesAtLeast(): int
    {
        return $this->changes + $this->potsLeft - (($this->left[$this->open] ?? 0) > 0 ? 1 : 0);
    }

    public function betterThan(self $other, float $same): bool
    {
        return $this->idle < $other->idle - $same ||
            ($this->idle <= $other->idle + $same &&
                [round($this->slips, 6), $this->changesAtLeast()] < [
                    round($other->slips, 6),
                    $other->changesAtLeast(),
                ]);
    }
}
