<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/**
 * The least finish of one painter, by branch and bound: what comes next is tried in every way that can still be better;
 * pieces that stand alike are the same, and what was come to before no sooner is not gone on with. Gives up after so
 * many tries; then nothing is proven.
 */
final class ExactOrder
{
    /** States that are tried, and how many operations all of them may hold: each state of a large batch costs more. */
    private const TRIES = 60_000;

    private const OPERATIONS = 3_000_000;

    private float $least;

    /** @var list<int> */
    private array $best = [];

    /** @var list<int> */
    private array $order = [];

    private int $tries = 0;

    /** @var array<string, float> what was come to, and when at the soonest */
    private array $seen = [];

    private function __construct(private readonly Batch $batch, private readonly int $most, float $least)
    {
        $this->least = $least;
    }

    /**
     * @param  Timetable  $known  one that is there already
     * @return Timetable|null a better one or the same, proven; null: it was given up
     */
    public static function of(Batch $batch, Timetable $known, ?int $most = null): ?Timetable
    {
        $most ??= min(self::TRIES, intdiv(self::OPERATIONS, max(1, count($batch->operations))));
        $first = $batch->painters[0];
        $isPlain = array_filter($batch->lags, fn (Lag $l) => $l->wet !== null) === [];
        if (count($batch->painters) > 1 || $first->hours !== [] || $batch->largest() !== null || ! $isPlain) {
            return null;
        }
        if ((new Bounds($batch))->better >= $known->finish - 1e-6) {
            return $known->proven();
        }
        if ($most < count($batch->operations)) {
            // Not even one order could be gone through to its end.
            return null;
        }
        $self = new self($batch, $most, $known->finish);
        $waits = array_map(count(...), $batch->before);
        $ready = array_map(fn (int $w) => 0.0, $waits);
        $self->branch(0.0, null, $waits, $ready, $batch->minutes());
        if ($self->tries > $most) {
            return null;
        }

        return $self->best === [] ? $known->proven() : FixedOrder::of($batch, [$self->best])->proven();
    }

    /**
     * @param  array<int, int>  $waits  by operation that is not done: how many must come before it
     * @param  array<int, float>  $ready  by operation that is not done
     */
    private function branch(float $now, ?string $pot, array $waits, array $ready, float $left): void
    {
        if ($waits === []) {
            if ($now < $this->least - 1e-6) {
                $this->least = $now;
                $this->best = $this->order;
            }

            return;
        }
        if (++$this->tries > $this->most || $this->bound($now, $waits, $ready, $left) >= $this->least - 1e-6) {
            return;
        }
        $pieces = $this->pieces($now, $waits, $ready);
        $alike = $pieces;
        sort($alike);
        $state = "$pot|".implode('|', $alike);
        if (($this->seen[$state] ?? INF) <= $now + 1e-9) {
            return;
        }
        $this->seen[$state] = $now;
        foreach ($this->candidates($now, $pot, $waits, $ready, $pieces) as $i) {
            if ($this->tries > $this->most) {
                return;
            }
            $operation = $this->batch->operations[$i];
            $setup = $pot === $operation->pot ? 0.0 : $operation->setup;
            $end = max($now + $setup, $ready[$i]) + $operation->minutes;
            [$w, $r] = [$waits, $ready];
            unset($w[$i], $r[$i]);
            foreach ($this->batch->after[$i] as $lag) {
                $w[$lag->to]--;
                $r[$lag->to] = max($r[$lag->to], $end + $lag->minutes);
            }
            $this->order[] = $i;
            $this->branch($end, $operation->pot, $w, $r, $left - $operation->minutes);
            array_pop($this->order);
        }
    }

    /**
     * What could come next, the soonest first: of pieces that stand alike one, and nothing that leaves a gap in which
     * something else could be done whole.
     *
     * @param  array<int, int>  $waits
     * @param  array<int, float>  $ready
     * @param  array<int, string>  $pieces  how far each is
     * @return list<int>
     */
    private function candidates(float $now, ?string $pot, array $waits, array $ready, array $pieces): array
    {
        $starts = $ends = [];
        foreach ($waits as $i => $wait) {
            if ($wait === 0) {
                $operation = $this->batch->operations[$i];
                $starts[$i] = max($now + ($pot === $operation->pot ? 0.0 : $operation->setup), $ready[$i]);
                $ends[$i] = $starts[$i] + $operation->minutes;
            }
        }
        $soonest = $ends === [] ? INF : min($ends);
        $alike = [];
        foreach ($starts as $i => $start) {
            $operation = $this->batch->operations[$i];
            // With a set-up, something done in the gap would cost the pot once more.
            if ($soonest < $start - 1e-9 && $operation->setup === 0.0) {
                continue;
            }
            $alike["$operation->turn {$pieces[$operation->piece]}"] ??= $i;
        }
        $left = array_values($alike);
        usort($left, fn (int $a, int $b) => [$starts[$a], -$this->batch->tails[$a], $a] <=> [
            $starts[$b], -$this->batch->tails[$b], $b,
        ]);

        return $left;
    }

    /**
     * @param  array<int, int>  $waits
     * @param  array<int, float>  $ready
     */
    private function bound(float $now, array $waits, array $ready, float $left): float
    {
        $bound = $now + $left;
        foreach ($waits as $i => $wait) {
            if ($wait === 0) {
                $start = max($now, $ready[$i]);
                $bound = max($bound, $start + $this->batch->operations[$i]->minutes + $this->batch->tails[$i]);
            }
        }

        return $bound;
    }

    /**
     * How far each piece is, and when it can go on.
     *
     * @param  array<int, int>  $waits
     * @param  array<int, float>  $ready
     * @return array<int, string> by number
     */
    private function pieces(float $now, array $waits, array $ready): array
    {
        $pieces = [];
        foreach ($waits as $i => $wait) {
            $operation = $this->batch->operations[$i];
            $wet = $ready[$i] > $now ? round($ready[$i], 3) : '';
            $pieces[$operation->piece] = ($pieces[$operation->piece] ?? '')."$operation->turn,$wait,$wet;";
        }

        return $pieces;
    }
}
