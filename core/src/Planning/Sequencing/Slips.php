<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Sculpt\Rank;

/**
 * What strays onto finished work: an area is soiled where its own paint is followed by a messy brushed step of another
 * pot on an area that it touches, and nothing of its own that covers (from underlay to toning) comes after. Once for an
 * area and pass. What is sprayed without a mask soils what it touches in the same way; that is put right in the area's
 * own base. Wear is meant to lie on its neighbours, and the ground is painted over anyway.
 */
final readonly class Slips
{
    /** @var list<bool> by step: whether it strays */
    private array $strays;

    /** @var list<bool> by step: whether it puts right what strayed onto its area */
    private array $isCover;

    /** @var list<string> */
    private array $pots;

    /** @var array<string, array<string, true>> by key of a sprayed area: those that are masked for it */
    private array $masked;

    /** @var array<int, StepColour|null> by place of an area: the colour of its base */
    private array $bases;

    /**
     * @param  list<Step>  $steps
     * @param  array<string, float>  $touchUp  by area key: minutes to put right what strayed onto it
     */
    public function __construct(private array $steps, private DryingTimes $drying, private array $touchUp)
    {
        $this->pots = array_map(fn (Step $s) => $s->pot(), $steps);
        $this->strays = array_map(
            fn (Step $s) => $s->area !== null && $s->isMessy() && $s->phase !== Phase::Wear,
            $steps,
        );
        $masked = $bases = [];
        foreach ($steps as $i => $step) {
            foreach ($step->sprays as $sprayed) {
                $masked[$sprayed] = ($masked[$sprayed] ?? []) + array_fill_keys($step->covers, true);
            }
            if ($step->area !== null && $step->phase === Phase::Base) {
                $bases[$drying->places[$i]] = $step->colour;
            }
        }
        [$this->masked, $this->bases] = [$masked, $bases];
        $this->isCover = array_map(
            fn (Step $s) => $s->area !== null &&
                $s->phase->value >= Phase::Underlay->value &&
                $s->phase->value <= Phase::Tone->value,
            $steps,
        );
    }

    /** @return array<int, int> by place of an area: how many of its steps put right what strays onto it */
    public function covers(): array
    {
        $covers = [];
        foreach (array_keys($this->isCover, true, true) as $i) {
            $covers[$this->drying->places[$i]] = ($covers[$this->drying->places[$i]] ?? 0) + 1;
        }

        return $covers;
    }

    public function paint(PartialSchedule $at, int $i): void
    {
        $step = $this->steps[$i];
        if ($step->area === null || $step->area->rank === Rank::Ground) {
            return;
        }
        $place = $this->drying->places[$i];
        $at->painted[$place] = $i;
        $at->covers[$place] = ($at->covers[$place] ?? 0) - ($this->isCover[$i] ? 1 : 0);
    }

    /**
     * What a pass soils that nothing to come will cover.
     *
     * @param  non-empty-list<int>  $members
     * @return list<Slip>
     */
    public function of(array $members, PartialSchedule $at): array
    {
        if (! $this->strays[$members[0]] && array_filter($members, fn (int $i) => $this->strays[$i]) === []) {
            return [];
        }
        $own = array_fill_keys(array_map(fn (int $i) => $this->drying->places[$i], $members), true);
        $slips = [];
        foreach ($members as $i) {
            foreach ($this->strays[$i] ? $this->drying->neighbours[$this->drying->places[$i]] : [] as $place) {
                $last = $at->painted[$place] ?? null;
                $area = $last === null ? null : $this->steps[$last]->area;
                if (
                    $last !== null &&
                    $area !== null &&
                    ! isset($own[$place]) &&
                    ! isset($this->masked[(string) $this->steps[$i]->area?->key][$area->key]) &&
                    ($at->covers[$place] ?? 0) <= 0 &&
                    $this->pots[$last] !== $this->pots[$i]
                ) {
                    $colour = $this->steps[$i]->isSprayed()
                        ? $this->bases[$place] ?? $this->steps[$last]->colour
                        : $this->steps[$last]->colour;
                    $slips[$place] = new Slip($area, $colour, $this->touchUp[$area->key] ?? 0.0);
                }
            }
        }
        ksort($slips);

        return array_values($slips);
    }

    /** @param  list<Slip>  $slips */
    public static function minutes(array $slips): float
    {
        $minutes = 0.0;
        foreach ($slips as $slip) {
            $minutes += $slip->minutes;
        }

        return $minutes;
    }
}
