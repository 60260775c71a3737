<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

use Ordotype\Core\Bench\Release;
use Ordotype\Core\Planning\Sequencing\DryingTimes;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Gate;

/**
 * The operations of a release: one for each coat of each pass on each piece. A coat's minutes are its share of the
 * pass, handling with the first, what is put right with the last. What paints the same area, or strays onto a
 * neighbour, waits until that is dry; other steps that touch keep the plan's order where one of them is messy.
 */
final class BatchWork
{
    /** Turns of one unit's work; those of the next come after them. */
    private const TURNS = 100_000;

    /** @var list<Lag> */
    private array $lags = [];

    /** @var list<Step> */
    private readonly array $steps;

    private readonly DryingTimes $drying;

    private readonly Release $release;

    /** @var array<int, array{array<int, int>, array<int, int>}> by piece: the first and last operation of each pass */
    private array $ends = [];

    /**
     * @param  float  $fan  what drying is multiplied with where air dries: 1, or Station::FAN
     * @param  int  $from  the turn before its first
     * @param  list<Operation>  $operations  of the parts before it
     */
    private function __construct(
        private readonly BatchPart $part,
        private readonly float $fan,
        private readonly int $from,
        private array $operations,
    ) {
        $this->release = $part->release;
        $this->steps = $this->release->plan->work->steps;
        $this->drying = new DryingTimes($this->steps, $this->release->request->sculpt, 1);
    }

    /**
     * @param  list<int>  $pieces  numbers
     * @param  array<int, list<string>>  $done  by piece: keys of steps that are done already
     * @param  non-empty-list<BatchPainter>  $painters
     */
    public static function of(
        Release $release,
        array $pieces,
        array $painters,
        bool $fan = false,
        array $done = [],
        int $guns = 1,
    ): Batch {
        $part = new BatchPart($release, array_combine($pieces, $pieces), isGated: false);

        return self::several([$part], $painters, $fan, $guns, $done);
    }

    /**
     * @param  list<BatchPart>  $parts
     * @param  non-empty-list<BatchPainter>  $painters
     * @param  array<int, list<string>>  $done  by number in the batch: keys of steps that are left out
     */
    public static function several(
        array $parts,
        array $painters,
        bool $fan = false,
        int $guns = 1,
        array $done = [],
    ): Batch {
        $operations = $lags = [];
        foreach ($parts as $n => $part) {
            $self = new self($part, $fan ? Station::FAN : 1.0, self::TURNS * $n, $operations);
            $links = $self->links();
            foreach (array_keys($part->pieces) as $piece) {
                $self->piece($piece, $links, $done[$piece] ?? []);
            }
            $self->testModel($links);
            $operations = $self->operations;
            $lags = [...$lags, ...$self->lags];
        }

        return new Batch($operations, $lags, $painters, $guns);
    }

    /** The place of the pass that an operation is a coat of, among those of its release. */
    public static function passOf(Operation $operation): int
    {
        return intdiv($operation->turn % self::TURNS, 100);
    }

    /** The place of a coat among those of its pass. */
    public static function coatOf(Operation $operation): int
    {
        return $operation->turn % 100;
    }

    /**
     * What must lie between two passes, by the earlier and the later one.
     *
     * @return array<int, array<int, array{int, int, LagWhy}>> the steps that say so, and why
     */
    private function links(): array
    {
        $links = [];
        $passes = $this->release->passes();
        foreach ($passes as $p => $earlier) {
            for ($q = $p + 1; $q < count($passes); $q++) {
                foreach ($earlier->steps as $s) {
                    foreach ($passes[$q]->steps as $t) {
                        $why = $this->why($s, $t, $this->release->edges);
                        $held = $links[$p][$q] ?? null;
                        if ($why !== null && ($held === null || $this->dries($why) > $this->dries($held[2]))) {
                            $links[$p][$q] = [$s, $t, $why];
                        }
                    }
                }
            }
        }

        return $links;
    }

    private function why(int $s, int $t, PrecedenceGraph $edges): ?LagWhy
    {
        $rules = $edges->after($s)[$t] ?? null;
        $touch = fn (): bool => $this->drying->waitsFor($s, $t);

        return match (true) {
            isset($rules[Rule::WhileWet->value]) => LagWhy::Wet,
            $this->drying->waitsFor($t, $s) => LagWhy::Drying,
            $touch() => LagWhy::Slips,
            $rules !== null => LagWhy::Order,
            default => null,
        };
    }

    /** Which of several reasons holds longest. */
    private function dries(LagWhy $why): int
    {
        return match ($why) {
            LagWhy::Wet => 3,
            LagWhy::Drying => 2,
            LagWhy::Slips, LagWhy::Order, LagWhy::Coats, LagWhy::Gate, LagWhy::TestModel => 1,
        };
    }

    /**
     * @param  array<int, array<int, array{int, int, LagWhy}>>  $links
     * @param  list<string>  $done
     */
    private function piece(int $piece, array $links, array $done): void
    {
        $all = $this->release->stepsOf($this->part->pieces[$piece]);
        $needed = array_flip(array_keys(array_diff_key($all, array_flip($done))));
        $first = $last = [];
        foreach ($this->release->passes() as $p => $pass) {
            $steps = array_values(
                array_filter($pass->steps, fn (int $i) => isset($needed[$this->release->keys[$i]->id])),
            );
            if ($steps !== []) {
                [$first[$p], $last[$p]] = $this->coats($piece, $p, $steps, $pass->minutes);
            }
        }
        foreach ($links as $p => $laters) {
            foreach ($laters as $q => [$s, , $why]) {
                if (isset($last[$p], $first[$q])) {
                    $this->lags[] = $why === LagWhy::Wet
                        ? new Lag($last[$p], $first[$q], 0.0, $why, Batch::WET * min(1.0, $this->fan))
                        : new Lag($last[$p], $first[$q], $why === LagWhy::Drying ? $this->dry($s) : 0.0, $why);
                }
            }
        }
        $this->ends[$piece] = [$first, $last];
        foreach ($this->part->holding($piece) as $gate) {
            $this->hold($gate, LagWhy::Gate, $links, $piece, $piece, $gate);
        }
    }

    /**
     * The others wait where colours begin until the one that runs ahead is painted and judged.
     *
     * @param  array<int, array<int, array{int, int, LagWhy}>>  $links
     */
    private function testModel(array $links): void
    {
        $test = $this->part->test;
        if ($test === null || ! $this->part->gates->wantsTestModel()) {
            return;
        }
        $painted = in_array(Gate::BeforeVarnish, $this->part->gates->all(), true) ? Gate::BeforeVarnish : null;
        foreach (array_diff(array_keys($this->part->pieces), [$test]) as $other) {
            $this->hold($painted, LagWhy::TestModel, $links, $test, $other, Gate::TestModel);
        }
    }

    /**
     * What lies beyond a gate on one piece waits for the answer, after what lies before a gate on the same or another.
     *
     * @param  Gate|null  $until  null: all of the piece
     * @param  array<int, array<int, array{int, int, LagWhy}>>  $links
     */
    private function hold(?Gate $until, LagWhy $why, array $links, int $piece, int $held, Gate $beyond): void
    {
        $isBeyond = fn (?Gate $gate, int $pass): bool => $gate !== null &&
            $this->part->gates->isBeyond($gate, max($this->release->passes()[$pass]->steps));
        $before = array_filter($this->ends[$piece][1], fn (int $p) => ! $isBeyond($until, $p), ARRAY_FILTER_USE_KEY);
        $after = array_filter($this->ends[$held][0], fn (int $p) => $isBeyond($beyond, $p), ARRAY_FILTER_USE_KEY);
        [$last, $first] = [$before, $after];
        foreach ($links as $p => $laters) {
            foreach (array_keys($laters) as $q) {
                // Only the ends of what lies before, and the beginnings of what lies beyond: the rest follows.
                if (isset($before[$p], $before[$q])) {
                    unset($last[$p]);
                }
                if (isset($after[$p], $after[$q])) {
                    unset($first[$q]);
                }
            }
        }
        foreach ($last as $from) {
            foreach ($first as $to) {
                $this->lags[] = new Lag($from, $to, $this->part->wait, $why);
            }
        }
    }

    /**
     * @param  non-empty-list<int>  $steps  of the pass that this piece gets
     * @param  float  $pass  minutes of the whole pass on a piece that gets all of it
     * @return array{int, int} the first and the last of its operations
     */
    private function coats(int $piece, int $turn, array $steps, float $pass): array
    {
        $of = array_map(fn (int $i) => $this->steps[$i], $steps);
        $handling = max(array_map(fn (Step $s) => $s->handling, $of));
        $hand = array_sum(array_map(fn (Step $s) => $s->minutes - $s->handling, $of));
        $all = $this->release->passes()[$turn]->steps;
        $slips = max(0.0, $pass - $this->drying->minutesOf($all)) * (count($steps) / count($all));
        $coats = max(array_map(fn (Step $s) => $s->coats, $of));
        $technique = $of[0]->technique;
        $at = count($this->operations);
        for ($c = 0; $c < $coats; $c++) {
            $this->operations[] = new Operation(
                $piece,
                $this->from + 100 * $turn + $c,
                $technique->key.'|'.($of[0]->colour?->words() ?? ''),
                $hand / $coats + ($c === 0 ? $handling : 0.0) + ($c === $coats - 1 ? $slips : 0.0),
                $technique->setup,
                Station::isSprayed($technique),
                max(array_map(fn (Step $s) => $s->technique->skill, $of)),
                $of[0]->phase->value >= Phase::Underlay->value,
                array_map(fn (int $i) => $this->release->keys[$i]->id, $steps),
            );
            if ($c > 0) {
                $gap = $technique->coatDry * (Station::driesByAir($technique) ? $this->fan : 1.0);
                $this->lags[] = new Lag($at + $c - 1, $at + $c, $gap, LagWhy::Coats);
            }
        }

        return [$at, $at + $coats - 1];
    }

    /** Minutes until something may go over a step. */
    private function dry(int $step): float
    {
        $technique = $this->steps[$step]->technique;

        return $technique->dry * (Station::driesByAir($technique) ? $this->fan : 1.0);
    }
}
