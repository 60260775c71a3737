<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

/**
 * A batch while it is laid out: what is free to come next, who is free when, what is in whose hand. Thrown away after
 * one timetable.
 */
final class Hands
{
    /** @var array<int, float> by painter: when they are free */
    public array $at;

    /** @var array<int, string|null> by painter: what is in hand */
    public array $pot;

    /** @var array<int, int|null> by painter */
    private array $day;

    /** @var array<int, array{float, int|null, string|null}> by gun: when it is free, who had it, with which pot */
    private array $guns;

    /** @var array<int, array<int, float>> by turn, by operation that is free: when it can start */
    public array $free = [];

    /** @var array<int, float> by operation: its start */
    public array $starts = [];

    /** @var array<int, int> by operation: how many must still come before it */
    private array $waits;

    /** @var array<int, float> by operation */
    private array $ready;

    /** @var array<int, float> by piece: when nobody has it in hand any more */
    private array $pieceFree = [];

    /** @var array<int, int> by piece */
    private array $pieceLeft = [];

    /** @var array<int, float> pieces that were begun: when they are finished, INF before that is known */
    private array $open = [];

    /** @var array<int, array<int, true>> by piece: its operations that are free */
    private array $freeOf = [];

    /** @var list<Run> */
    public array $runs = [];

    public float $finish = 0.0;

    public float $waiting = 0.0;

    private readonly ?int $largest;

    private readonly float $now;

    public function __construct(public readonly Batch $batch, Progress $progress = new Progress())
    {
        $painters = count($batch->painters);
        $this->now = $progress->now;
        $this->at = array_fill(0, $painters, $progress->now);
        $this->pot = $this->day = array_fill(0, $painters, null);
        $this->guns = array_fill(0, $batch->guns, [0.0, null, null]);
        $this->waits = array_map(count(...), $batch->before);
        $this->ready = array_fill(0, count($batch->operations), 0.0);
        $this->largest = $batch->largest();
        foreach ($batch->operations as $i => $operation) {
            $this->pieceLeft[$operation->piece] = ($this->pieceLeft[$operation->piece] ?? 0) + 1;
            $this->pieceFree[$operation->piece] = 0.0;
            if ($this->waits[$i] === 0) {
                $this->becomesFree($i, 0.0);
            }
        }
        $done = $progress->done;
        uasort($done, fn (array $a, array $b) => $a[0] <=> $b[0]);
        foreach ($done as $i => [$ends, $painter]) {
            $this->wasDone($i, $ends, $painter);
        }
    }

    public function isDone(): bool
    {
        return count($this->starts) === count($this->batch->operations);
    }

    public function isFree(int $i): bool
    {
        return isset($this->free[$this->batch->operations[$i]->turn][$i]);
    }

    /** Whether another piece may be begun with it. */
    public function mayBegin(int $i): bool
    {
        $operation = $this->batch->operations[$i];

        return $this->largest === null ||
            ! $operation->begins ||
            isset($this->open[$operation->piece]) ||
            count(array_keys($this->open, INF, true)) < $this->largest;
    }

    /** From when on a painter is there and has their hands free. */
    public function from(int $painter): float
    {
        return $this->batch->painters[$painter]->room($this->at[$painter], 0.0)[0] ?? INF;
    }

    /** When the spraying station is free again. */
    public function gunFree(): float
    {
        return $this->guns[$this->gun()][0];
    }

    /** Minutes of set-up that a painter would pay for it now. */
    public function setupFor(int $painter, int $i): float
    {
        $operation = $this->batch->operations[$i];
        if ($this->pot[$painter] !== $operation->pot) {
            return $operation->setup;
        }
        if (! $operation->isSprayed) {
            return 0.0;
        }
        [, $who, $pot] = $this->guns[$this->gun()];

        return $who === $painter && $pot === $operation->pot ? 0.0 : $operation->setup;
    }

    /**
     * When a painter could begin it, with the set-up before it, and the day that is on.
     *
     * @return array{float, float, int}|null when it starts, the set-up paid, the day; null: they have no hours for it
     */
    public function startOf(int $painter, int $i): ?array
    {
        $operation = $this->batch->operations[$i];
        $setup = $this->setupFor($painter, $i);
        $minutes = $operation->minutes;
        $into = $this->wetAfter($i);
        if ($into !== null) {
            // Both pots are laid out first, and nothing comes between them.
            $setup += $this->batch->operations[$into]->setup;
            $minutes += $this->batch->operations[$into]->minutes;
        }
        $ready = $this->free[$operation->turn][$i] ?? 0.0;
        if ($operation->isSprayed) {
            // The gun is held while its pot is laid out.
            $ready = max($ready, $this->guns[$this->gun()][0] + $setup);
        }
        if ($this->largest !== null && $operation->begins && ! isset($this->open[$operation->piece])) {
            $ends = array_values($this->open);
            rsort($ends);
            $ready = max($ready, $ends[$this->largest - 1] ?? 0.0);
        }
        $who = $this->batch->painters[$painter];
        // The pot is laid out while the last coat dries.
        $room = $who->room(max($this->at[$painter], $ready - $setup), $setup + $minutes);
        if ($room === null) {
            return null;
        }
        [$from, $day] = $room;
        if ($setup === 0.0 && $this->day[$painter] !== null && $this->day[$painter] !== $day) {
            // In the morning every pot is laid out anew.
            $setup = $operation->setup;
            $room = $who->room(max($this->at[$painter], $ready - $setup), $setup + $minutes);
            if ($room === null) {
                return null;
            }
            [$from, $day] = $room;
        }

        return [$from + $setup, $setup, $day];
    }

    /**
     * One pot over operations, one after the other; each of them is free when its turn comes.
     *
     * @param  non-empty-list<int>  $operations
     * @param  float  $patience  minutes that the run waits for its next piece; the first is waited for
     * @return int how many were done
     */
    public function run(int $painter, array $operations, float $patience = INF): int
    {
        $before = $this->at[$painter];
        $pot = $this->batch->operations[$operations[0]]->pot;
        $isChange = $this->pot[$painter] !== $pot;
        $who = $this->batch->painters[$painter];
        $done = [];
        [$from, $paid, $waited] = [0.0, 0.0, 0.0];
        foreach ($operations as $n => $i) {
            $start = $this->startOf($painter, $i);
            if ($start === null || ! $this->mayBegin($i)) {
                break;
            }
            [$begins, $setup, $day] = $start;
            $idle = max(0.0, $begins - $setup - $this->at[$painter]);
            if ($n > 0 && ($idle > $patience || $this->day[$painter] !== $day)) {
                break;
            }
            $from = $done === [] ? $begins - $setup : $from;
            $waited += $idle === 0.0 ? 0.0 : $who->within($this->at[$painter], $begins - $setup);
            $paid += $setup;
            $this->keep($painter, $i, $begins, $day);
            $done[] = $i;
            $into = $this->wetAfter($i);
            if ($into !== null) {
                $this->keep($painter, $into, $this->at[$painter], $day);
                $done[] = $into;
            }
        }
        if ($done !== []) {
            $this->runs[] = new Run($painter, $pot, $from, $this->at[$painter], $paid, $isChange, $done, $waited);
            $this->waiting += $waited;
        }
        assert($done === [] || $this->at[$painter] >= $before);

        return count($done);
    }

    public function timetable(): Timetable
    {
        $all = array_keys($this->batch->operations);
        $starts = array_map(fn (int $i) => $this->starts[$i] ?? INF, $all);
        $runs = $this->runs;
        usort($runs, fn (Run $a, Run $b) => [$a->from, $a->painter] <=> [$b->from, $b->painter]);

        return new Timetable(
            $runs,
            $starts,
            $this->finish,
            $this->waiting,
            array_values(array_filter($all, fn (int $i) => ! isset($this->starts[$i]))),
        );
    }

    /** What goes into it while it is wet, and waits for nothing else. */
    private function wetAfter(int $i): ?int
    {
        foreach ($this->batch->after[$i] as $lag) {
            $isAlone = isset($this->starts[$i]) ? $this->waits[$lag->to] === 0 : $this->waits[$lag->to] === 1;
            if ($lag->wet !== null && $isAlone && ! isset($this->starts[$lag->to])) {
                return $lag->to;
            }
        }

        return null;
    }

    /** Done before the timetable begins: its pot is in hand, its paint dries from its end. */
    private function wasDone(int $i, float $ends, ?int $painter): void
    {
        $operation = $this->batch->operations[$i];
        if ($painter !== null) {
            $this->at[$painter] = max($this->at[$painter], $ends);
            $this->pot[$painter] = $operation->pot;
            $this->day[$painter] = $this->batch->painters[$painter]->dayAt($ends);
        }
        if ($operation->isSprayed) {
            $this->guns[$this->gun()] = [$ends, $painter, $operation->pot];
        }
        $this->follow($i, $ends - $operation->minutes, $ends);
    }

    private function keep(int $painter, int $i, float $begins, int $day): void
    {
        $operation = $this->batch->operations[$i];
        $ends = $begins + $operation->minutes;
        $this->at[$painter] = $ends;
        $this->pot[$painter] = $operation->pot;
        $this->day[$painter] = $day;
        if ($operation->isSprayed) {
            $this->guns[$this->gun()] = [$ends, $painter, $operation->pot];
        }
        $this->follow($i, $begins, $ends);
    }

    /** What an operation that lies so leaves free. */
    private function follow(int $i, float $begins, float $ends): void
    {
        $operation = $this->batch->operations[$i];
        $this->starts[$i] = $begins;
        $this->finish = max($this->finish, $ends);
        $piece = $operation->piece;
        unset($this->free[$operation->turn][$i], $this->freeOf[$piece][$i]);
        $this->pieceFree[$piece] = $ends;
        foreach ($this->freeOf[$piece] ?? [] as $other => $is) {
            $turn = $this->batch->operations[$other]->turn;
            $this->free[$turn][$other] = max($this->free[$turn][$other], $ends);
        }
        if ($operation->begins) {
            $this->open[$piece] ??= INF;
        }
        if (--$this->pieceLeft[$piece] === 0 && isset($this->open[$piece])) {
            $this->open[$piece] = $ends;
        }
        foreach ($this->batch->after[$i] as $lag) {
            $ready = $ends + $lag->minutes;
            // An answer that is overdue is expected one usual wait from now.
            $ready = $lag->why->isAnswer() && $ready < $this->now ? $this->now + $lag->minutes : $ready;
            $this->ready[$lag->to] = max($this->ready[$lag->to], $ready);
            if (--$this->waits[$lag->to] === 0 && ! isset($this->starts[$lag->to])) {
                $this->becomesFree($lag->to, $this->ready[$lag->to]);
            }
        }
    }

    private function becomesFree(int $i, float $ready): void
    {
        $operation = $this->batch->operations[$i];
        $this->free[$operation->turn][$i] = max($ready, $this->pieceFree[$operation->piece] ?? 0.0);
        $this->freeOf[$operation->piece][$i] = true;
    }

    /** The gun that is free first. */
    private function gun(): int
    {
        $first = 0;
        foreach ($this->guns as $g => $gun) {
            $first = $gun[0] < $this->guns[$first][0] ? $g : $first;
        }

        return $first;
    }
}
