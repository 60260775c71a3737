<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

use InvalidArgumentException;

/**
 * Work on several pieces at once: its operations, what must lie between them, and who does them. Operations of a piece
 * stand in the plan's order, so that each lag leads to a later one.
 */
final readonly class Batch
{
    /** Minutes by which an operation may follow one that it goes into wet. */
    public const WET = 10.0;

    /** @var list<list<Lag>> by operation: the lags that lead to it */
    public array $before;

    /** @var list<list<Lag>> by operation: the lags that lead from it */
    public array $after;

    /** @var list<float> by operation: the shortest time until it can start */
    public array $heads;

    /** @var list<float> by operation: the shortest time from its end to the end of what must follow it */
    public array $tails;

    /** @var list<int> by operation: the skill that it takes, with what goes into it while it is wet */
    public array $skills;

    /** @var list<bool> by operation: what is sprayed comes after it */
    public array $feeds;

    /**
     * @param  list<Operation>  $operations
     * @param  list<Lag>  $lags
     * @param  non-empty-list<BatchPainter>  $painters
     * @param  int  $guns  places at the spraying station
     *
     * @throws InvalidArgumentException when a lag leads in a circle
     */
    public function __construct(
        public array $operations,
        public array $lags,
        public array $painters,
        public int $guns = 1,
    ) {
        $before = $after = array_fill(0, count($operations), []);
        foreach ($lags as $lag) {
            $after[$lag->from][] = $lag;
            $before[$lag->to][] = $lag;
        }
        $skills = array_map(fn (Operation $o) => $o->skill, $operations);
        foreach ($lags as $lag) {
            $skills[$lag->from] = $lag->wet === null
                ? $skills[$lag->from]
                : max($skills[$lag->from], $operations[$lag->to]->skill);
        }
        $this->skills = array_values($skills);
        $this->before = $before;
        $this->after = $after;
        $order = self::order($before, $after);
        $heads = $tails = array_fill(0, count($operations), 0.0);
        foreach ($order as $i) {
            foreach ($before[$i] as $lag) {
                $end = $heads[$lag->from] + $operations[$lag->from]->minutes + $lag->minutes;
                $heads[$i] = max($heads[$i], $end);
            }
        }
        $feeds = array_fill(0, count($operations), false);
        foreach (array_reverse($order) as $i) {
            foreach ($after[$i] as $lag) {
                $feeds[$i] = $feeds[$i] || $feeds[$lag->to] || $operations[$lag->to]->isSprayed;
                $tails[$i] = max($tails[$i], $lag->minutes + $operations[$lag->to]->minutes + $tails[$lag->to]);
            }
        }
        $this->heads = array_values($heads);
        $this->tails = array_values($tails);
        $this->feeds = array_values($feeds);
    }

    /** @return list<int> numbers of its pieces */
    public function pieces(): array
    {
        $pieces = array_unique(array_map(fn (Operation $o) => $o->piece, $this->operations));
        sort($pieces);

        return $pieces;
    }

    /** Hand minutes of all of it, without set-up. */
    public function minutes(): float
    {
        return array_sum(array_map(fn (Operation $o) => $o->minutes, $this->operations));
    }

    /** The most pieces that are begun and not finished; null: as many as there are. */
    public function largest(): ?int
    {
        $all = array_map(fn (BatchPainter $p) => $p->largest, $this->painters);

        return in_array(null, $all, true) ? null : array_sum($all);
    }

    /**
     * @param  list<list<Lag>>  $before
     * @param  list<list<Lag>>  $after
     * @return list<int> operations, each after all that lead to it
     */
    private static function order(array $before, array $after): array
    {
        $waits = array_map(count(...), $before);
        $free = array_keys($waits, 0, true);
        $order = [];
        while ($free !== []) {
            $i = array_pop($free);
            $order[] = $i;
            foreach ($after[$i] as $lag) {
                if (--$waits[$lag->to] === 0) {
                    $free[] = $lag->to;
                }
            }
        }
        if (count($order) < count($before)) {
            throw new InvalidArgumentException('Operations of the batch wait for one another in a circle.');
        }

        return $order;
    }
}
