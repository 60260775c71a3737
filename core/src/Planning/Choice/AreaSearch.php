<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

/**
 * One search for the techniques that meet an area's requirements in the fewest minutes, exactly; used once.
 *
 * Everything a solution must reach is a *demand*: a number of units that chosen techniques contribute to (the one
 * base, the passes of an effect, the colour steps, a required technique, what a chosen technique needs, the tidying a
 * wash calls for). Passes that taper count towards a demand as far as they still reach it. The search decides one
 * technique at a time, taking the demand with the fewest techniques left, and bounds what is still to come by a
 * feasible solution of the dual of its linear relaxation (dual ascent: each demand in turn takes as high a price as the
 * techniques' remaining minutes bear). Nothing is cut that could tie, so that ties are broken as they must be.
 */
final class AreaSearch
{
    // The tables of the problem at hand, as every node of the search reads them: see {@see SolverTables}.

    /** @var list<float> */
    private array $cost;

    /** @var list<list<array{int, int, int}>> */
    private array $columns;

    /** @var list<list<array{int, int, int, bool}>> */
    private array $serves;

    /** @var list<list<array{int, int, float}>> */
    private array $levels;

    /** @var list<bool> */
    private array $isBase;

    /** @var list<bool> */
    private array $isLight;

    /** @var list<int> */
    private array $credit;

    /** @var list<list<int>> */
    private array $excludes;

    /** @var list<list<int>> */
    private array $raises;

    private ?int $mostCredit;

    private int $wash;

    private int $tidying;

    // The state of the search.

    /** @var array<int, int> */
    private array $passes;

    /** @var array<int, int> */
    private array $extent;

    /** @var array<int, bool> */
    private array $decided;

    /** @var array<int, int> units each demand still lacks, were it active */
    private array $lacks;

    /** @var array<int, int> how many reasons there are for each demand */
    private array $active;

    /** @var list<int> the demands, in the order in which they take their price */
    private array $order;

    private int $credits = 0;

    private int $lights = 0;

    private float $best = INF;

    /** @var list<array{int, int, int}>|null [candidate, passes, extent] */
    private ?array $bestUse = null;

    /** @param  bool  $anyWillDo  ends with the first solution, whatever it takes */
    public function __construct(SolverTables $tables, private readonly bool $anyWillDo)
    {
        [$this->cost, $this->columns, $this->serves] = [$tables->cost, $tables->columns, $tables->serves];
        [$this->levels, $this->credit] = [$tables->levels, $tables->credit];
        [$this->isBase, $this->isLight] = [$tables->isBase, $tables->isLight];
        [$this->excludes, $this->raises] = [$tables->excludes, $tables->raises];
        [$this->mostCredit, $this->wash, $this->tidying] = [$tables->mostCredit, $tables->wash, $tables->tidying];
        $count = count($tables->candidates);
        $this->passes = $this->extent = array_fill(0, $count, 0);
        $this->decided = array_fill(0, $count, false);
        $this->lacks = $tables->asked;
        $this->active = $tables->active;
        $this->order = $this->dearestFirst();
    }

    /** @return list<array{int, int, int}>|null [candidate of the tables, passes, extent]; null: there is none */
    public function best(): ?array
    {
        $this->step(0.0);

        return $this->bestUse;
    }

    /**
     * Demands by what they cost at the least, the dearest first: where these take their price first, the bound rises
     * soonest (measured: less than half the nodes).
     *
     * @return list<int>
     */
    private function dearestFirst(): array
    {
        $least = [];
        foreach ($this->lacks as $d => $lacks) {
            $cheapest = INF;
            foreach ($this->columns[$d] as [, $at, $units]) {
                $cheapest = min($cheapest, $this->cost[$at] / max(1, min($units, $lacks)));
            }
            $least[$d] = $lacks * $cheapest;
        }
        arsort($least);

        return array_keys($least);
    }

    private function step(float $minutes): void
    {
        $bound = $minutes;
        // Read over and over below: locals are faster than properties.
        [$price, $columns, $decided, $active] = [$this->cost, $this->columns, $this->decided, $this->active];
        $branch = -1;
        $fewest = PHP_INT_MAX;
        $pick = -1;
        foreach ($this->order as $d) {
            $lacks = $this->lacks[$d];
            if ($lacks <= 0 || $active[$d] === 0) {
                continue;
            }
            $cheapest = INF;
            $least = -1;
            $left = 0;
            foreach ($columns[$d] as [$i, $at, $units]) {
                if ($decided[$i]) {
                    continue;
                }
                $left++;
                $each = $price[$at] / ($units > $lacks ? $lacks : $units);
                if ($each < $cheapest) {
                    $cheapest = $each;
                    $least = $i;
                }
            }
            if ($least < 0) {
                return;
            }
            if ($left < $fewest) {
                $fewest = $left;
                $branch = $d;
                $pick = $least;
            }
            if ($cheapest > 0) {
                $bound += $lacks * $cheapest;
                if ($bound > $this->best + AreaProblem::TIE) {
                    return;
                }
                foreach ($columns[$d] as [$i, $at, $units]) {
                    $price[$at] -= ($units > $lacks ? $lacks : $units) * $cheapest;
                }
            }
        }
        if ($branch < 0) {
            $this->leaf($minutes);

            return;
        }
        foreach ($this->levels[$pick] as [$passes, $extent, $takes]) {
            $this->decide($pick, $passes, $extent, $minutes, $takes);
            if ($this->anyWillDo && $this->bestUse !== null) {
                return;
            }
        }
    }

    /** Follows one level of a technique, and takes it back. */
    private function decide(int $i, int $passes, int $extent, float $minutes, float $takes): void
    {
        if ($passes === 0) {
            $this->decided[$i] = true;
            $this->step($minutes);
            $this->decided[$i] = false;

            return;
        }
        $credit = $extent >= 2 ? $passes * $this->credit[$i] : 0;
        if ($this->mostCredit !== null && $this->credits + $credit > $this->mostCredit) {
            return;
        }
        if ($extent > 1) {
            foreach ($this->excludes[$i] as $other) {
                if ($this->extent[$other] > 1) {
                    return;
                }
            }
        }
        $cost = $minutes + $takes;
        if ($cost > $this->best + AreaProblem::TIE) {
            return;
        }

        [$lacks, $active, $decided] = [$this->lacks, $this->active, $this->decided];
        foreach ($this->serves[$i] as [$d, $least, $units, $tapers]) {
            if ($extent >= $least) {
                $reaching = $extent - $least + 1;
                $this->lacks[$d] -= $units * ($tapers && $reaching < $passes ? $reaching : $passes);
            }
        }
        foreach ($this->raises[$i] as $d) {
            $this->active[$d]++;
        }
        $this->decided[$i] = true;
        if ($this->isBase[$i]) {
            foreach ($this->isBase as $other => $isBase) {
                if ($isBase) {
                    $this->decided[$other] = true;
                }
            }
        }
        $this->lights += $this->isLight[$i] ? 1 : 0;
        $this->passes[$i] = $passes;
        $this->extent[$i] = $extent;
        $this->credits += $credit;
        if ($this->wash >= 0 && $this->passes[$this->wash] > 0 && $this->lights > 0) {
            $this->active[$this->tidying]++;
        }

        $this->step($cost);

        [$this->lacks, $this->active, $this->decided] = [$lacks, $active, $decided];
        $this->lights -= $this->isLight[$i] ? 1 : 0;
        $this->passes[$i] = 0;
        $this->extent[$i] = 0;
        $this->credits -= $credit;
    }

    private function leaf(float $minutes): void
    {
        if ($minutes > $this->best + AreaProblem::TIE) {
            return;
        }
        $use = [];
        foreach ($this->passes as $i => $passes) {
            if ($passes > 0) {
                $use[] = [$i, $passes, $this->extent[$i]];
            }
        }
        $isBetter = $minutes < $this->best - AreaProblem::TIE;
        if ($isBetter || $this->bestUse === null || self::before($use, $this->bestUse)) {
            $this->bestUse = $use;
        }
        $this->best = min($this->best, $minutes);
    }

    /**
     * Fewer techniques come first, then the smaller list of (catalogue place, passes, fuller extent).
     *
     * @param  list<array{int, int, int}>  $one
     * @param  list<array{int, int, int}>  $other
     */
    private static function before(array $one, array $other): bool
    {
        if (count($one) !== count($other)) {
            return count($one) < count($other);
        }
        foreach ($one as $k => [$candidate, $passes, $extent]) {
            [$otherCandidate, $otherPasses, $otherExtent] = $other[$k];
            $order = [$candidate, $passes, $otherExtent] <=> [$otherCandidate, $otherPasses, $extent];
            if ($order !== 0) {
                return $order < 0;
            }
        }

        return false;
    }
}
