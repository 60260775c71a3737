<?php

declare(strict_types=1);

namespace Ordotype\Core\Choice;

use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Demand\StepsRequirement;
use Ordotype\Core\Demand\TechniqueRequirement;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\WellKnown;

/**
 * Chooses the techniques that meet an area's requirements in the fewest minutes, exactly.
 *
 * Everything a solution must reach is a *demand*: a number of units that chosen techniques contribute to (the one
 * base,
 * the passes of an effect, the colour steps, a required technique, what a chosen technique needs, the tidying a wash
 * calls for). The search decides one technique at a time, taking the demand with the fewest techniques left, and
 * bounds
 * what is still to come by a feasible solution of the dual of its linear relaxation (dual ascent: each demand in turn
 * takes as high a price as the techniques' remaining minutes bear). Nothing is cut that could tie, so that ties are
 * broken as they must be.
 */
final class AreaSolver
{
    /** Minutes closer than this are the same. */
    public const TIE = 1e-9;

    private int $n;

    /** @var list<Candidate> those within the grade bar */
    private array $candidates;

    /** @var list<float> minutes of one pass of candidate i at extent u, at 4i + u */
    private array $cost;

    /** @var list<list<array{int, int}>> by candidate: the [passes, extent] it can usefully have, cheapest first */
    private array $levels;

    /** @var list<bool> */
    private array $isBase;

    /** @var list<bool> */
    private array $isLight;

    /** @var list<int> */
    private array $credit;

    /** @var list<list<int>> by candidate: those it excludes */
    private array $excludes;

    /** @var list<list<int>> by candidate: demands that arise when it is chosen */
    private array $raises;

    /** @var list<int> units each demand asks for */
    private array $asked;

    /** @var list<array<int, array{int, int}>> by demand: candidate to [least extent that counts, units a pass] */
    private array $members;

    /**
     * @var list<list<array{int, int, int}>> by demand: [candidate, place in cost, units a pass] for each useful extent
     */
    private array $columns;

    /** @var list<list<array{int, int, int}>> by candidate: [demand, least extent that counts, units a pass] */
    private array $serves;

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

    private int $credits;

    private int $lights;

    private float $best;

    /** @var list<array{int, int, int}>|null [candidate, passes, extent] */
    private ?array $bestUse;

    private bool $anyWillDo;

    /** Nodes the last search looked at. */
    public int $nodes = 0;

    /** Answers that are remembered at most. */
    private const REMEMBERED = 20_000;

    /**
     * @var array<string, list<array{int, int, int}>|null> by what the problem holds: [place among its candidates,
     * passes, extent]; null: nothing fits
     */
    private array $solved = [];

    /**
     * The best choice at a grade bar, or null when there is none. The same problem is solved once: where a clause, a
     * school or a piece changes only some areas, the others are looked up.
     */
    public function solve(AreaProblem $problem, int $bar): ?Choice
    {
        $key = $problem->signature()."|$bar";
        if (! array_key_exists($key, $this->solved)) {
            if (count($this->solved) >= self::REMEMBERED) {
                $this->solved = [];
            }
            $this->anyWillDo = false;
            $found = $this->search($problem, $bar);
            $places = array_flip(array_map(fn (Candidate $c) => $c->index, $problem->candidates));
            $this->solved[$key] =
                $found === null
                    ? null
                    : array_map(
                        fn (ChosenTechnique $u) => [$places[$u->index], $u->passes, $u->extent->value],
                        $found->techniques,
                    );
        }
        $use = $this->solved[$key];

        return $use === null
            ? null
            : new Choice(
                array_map(function (array $u) use ($problem): ChosenTechnique {
                    $candidate = $problem->candidates[$u[0]];

                    return new ChosenTechnique(
                        $candidate->technique,
                        $candidate->index,
                        $u[1],
                        Extent::from($u[2]),
                        $candidate->minutes[$u[2]],
                    );
                }, $use),
            );
    }

    public function canBeMet(AreaProblem $problem, int $bar): bool
    {
        $this->anyWillDo = true;

        return $this->search($problem, $bar) !== null;
    }

    private function search(AreaProblem $problem, int $bar): ?Choice
    {
        $this->nodes = 0;
        if (! $this->prepare($problem, $bar)) {
            return null;
        }
        $this->best = INF;
        $this->bestUse = null;
        $this->step(0.0);
        if ($this->bestUse === null) {
            return null;
        }
        $techniques = [];
        foreach ($this->bestUse as [$i, $passes, $extent]) {
            $candidate = $this->candidates[$i];
            $techniques[] = new ChosenTechnique(
                $candidate->technique,
                $candidate->index,
                $passes,
                Extent::from($extent),
                $candidate->minutes[$extent],
            );
        }

        return new Choice($techniques);
    }

    /** Sets the problem out in plain arrays. False when a required technique cannot have its passes at all. */
    private function prepare(AreaProblem $problem, int $bar): bool
    {
        $required = [];
        $steps = null;
        $effects = [];
        foreach ($problem->requirements as $requirement) {
            if ($requirement instanceof TechniqueRequirement) {
                $required[$requirement->technique] = $requirement;
            } elseif ($requirement instanceof StepsRequirement) {
                $steps = $requirement;
            } elseif ($requirement instanceof EffectRequirement) {
                $effects[] = $requirement;
            }
        }

        $this->candidates = [];
        $rescued = [];
        foreach ($problem->candidates as $candidate) {
            $below =
                $candidate->grade !== null &&
                $candidate->grade < $bar &&
                ! isset($required[$candidate->technique->key]);
            if ($below && ! ($candidate->technique->tidied && $bar <= 4)) {
                continue;
            }
            $rescued[] = $below;
            $this->candidates[] = $candidate;
        }
        $this->n = count($this->candidates);
        $place = [];
        foreach ($this->candidates as $i => $candidate) {
            $place[$candidate->technique->key] = $i;
        }
        foreach ($required as $key => $requirement) {
            if (
                ! isset($place[$key]) ||
                $requirement->passes >
                    $this->candidates[$place[$key]]->technique->maxPasses - ($problem->passesDone[$key] ?? 0)
            ) {
                return false;
            }
        }

        $this->cost = [];
        $this->isBase = [];
        $this->isLight = [];
        $this->credit = [];
        $this->excludes = [];
        $this->raises = [];
        $this->asked = [];
        $this->members = [];
        foreach ($this->candidates as $i => $candidate) {
            array_push($this->cost, ...$candidate->minutes);
            $this->isBase[] = $problem->needsBase && $candidate->isBase();
            $this->isLight[] = $candidate->isLight();
            $this->credit[] = $candidate->technique->credit;
            $this->excludes[] = [];
            $this->raises[] = [];
        }
        foreach ($this->candidates as $i => $candidate) {
            foreach ($candidate->technique->excludes as $other) {
                if (isset($place[$other]) && $place[$other] !== $i) {
                    $this->excludes[$i][] = $place[$other];
                    $this->excludes[$place[$other]][] = $i;
                }
            }
        }

        $this->active = [];
        if ($problem->needsBase) {
            $this->demand(1, array_fill_keys(array_keys($this->isBase, true, true), [Extent::Full->value, 1]), true);
        }
        foreach ($required as $key => $requirement) {
            $this->demand($requirement->passes, [$place[$key] => [$requirement->extent->value, 1]], true);
        }
        foreach ($effects as $requirement) {
            $members = [];
            foreach ($this->candidates as $i => $candidate) {
                if ($requirement->isServedBy($candidate->technique)) {
                    $members[$i] = [$requirement->extent->value, 1];
                }
            }
            $this->demand($requirement->passes, $members, true);
        }
        if ($steps !== null && $steps->min > 0) {
            $members = [];
            foreach ($this->credit as $i => $credit) {
                if ($credit > 0) {
                    $members[$i] = [Extent::Prominent->value, $credit];
                }
            }
            $this->demand($steps->min, $members, true);
        }
        $this->mostCredit = $steps?->max;

        $this->wash = $problem->pace === Pace::Fast ? -1 : $place[WellKnown::WASH] ?? -1;
        $tidiers = [];
        foreach ([WellKnown::TIDY, WellKnown::LAYER] as $key) {
            if (isset($place[$key])) {
                $tidiers[$place[$key]] = [Extent::Full->value, 1];
            }
        }
        $this->tidying = $this->demand($problem->tidied ? 0 : 1, $tidiers, false);
        foreach ($this->candidates as $i => $candidate) {
            if ($rescued[$i]) {
                $this->raises[$i][] = $this->tidying;
            }
            if ($candidate->needsWash) {
                // What is done already is dry: only a wash of this plan will do.
                $washes = array_keys(
                    array_filter($this->candidates, fn (Candidate $c) => $c !== $candidate && $c->isWash()),
                );
                $this->raises[$i][] = $this->demand(1, array_fill_keys($washes, [Extent::Spot->value, 1]), false);
            }
            foreach ($candidate->needs as $effect) {
                if (! in_array($effect, $problem->given, true)) {
                    $this->raises[$i][] = $this->demand(1, $this->giversOf($effect, $i), false);
                }
            }
        }

        $this->layOutLevels($required, $problem);
        $this->passes = $this->extent = array_fill(0, $this->n, 0);
        $this->decided = array_fill(0, $this->n, false);
        $this->lacks = $this->asked;
        $this->credits = 0;
        $this->lights = 0;

        return true;
    }

    /** @return array<int, array{int, int}> */
    private function giversOf(Effect $effect, int $but): array
    {
        $givers = [];
        foreach ($this->candidates as $i => $candidate) {
            if ($i !== $but && $candidate->technique->givesAny($effect)) {
                $givers[$i] = [Extent::Spot->value, 1];
            }
        }

        return $givers;
    }

    /** @param  array<int, array{int, int}>  $members */
    private function demand(int $asked, array $members, bool $active): int
    {
        $this->asked[] = $asked;
        $this->members[] = $members;
        $this->active[] = $active ? 1 : 0;

        return count($this->asked) - 1;
    }

    /**
     * A technique is worth using only at the extents at which it serves a demand, and for no more passes than the
     * longest of those asks for. Where a wider extent costs the same it is looked at too, as ties go to the fuller
     * one.
     *
     * @param  array<string, TechniqueRequirement>  $required
     */
    private function layOutLevels(array $required, AreaProblem $problem): void
    {
        $this->serves = array_fill(0, $this->n, []);
        foreach ($this->members as $d => $members) {
            foreach ($members as $i => [$least, $units]) {
                $this->serves[$i][] = [$d, $least, $units];
            }
        }
        $this->levels = [];
        $useful = [];
        foreach ($this->candidates as $i => $candidate) {
            $extents = [];
            foreach ($this->serves[$i] as [$d, $least]) {
                $extents[$least] = true;
            }
            if ($candidate->isAlwaysFull()) {
                $extents = $extents === [] ? [] : [Extent::Full->value => true];
            }
            foreach (array_keys($extents) as $extent) {
                for ($wider = $extent + 1; $wider <= Extent::Full->value; $wider++) {
                    if ($this->cost[4 * $i + $wider] - $this->cost[4 * $i + $extent] <= self::TIE) {
                        $extents[$wider] = true;
                    }
                }
            }
            $must = $required[$candidate->technique->key] ?? null;
            $levels = [];
            foreach (array_keys($extents) as $extent) {
                if (
                    ($must !== null && $extent < $must->extent->value) ||
                    ($extent > Extent::Spot->value && isset($problem->spotOnly[$candidate->technique->key]))
                ) {
                    continue;
                }
                $most = 0;
                foreach ($this->serves[$i] as [$d, $least, $units]) {
                    if ($least <= $extent) {
                        $most = max($most, (int) ceil($this->asked[$d] / $units));
                    }
                }
                $most = $this->isBase[$i]
                    ? min(1, $most)
                    : min(
                        $candidate->technique->maxPasses - ($problem->passesDone[$candidate->technique->key] ?? 0),
                        $most,
                    );
                for ($passes = $must === null ? 1 : $must->passes; $passes <= $most; $passes++) {
                    $levels[] = [$passes, $extent];
                }
            }
            usort(
                $levels,
                fn (array $a, array $b) => [$a[0] * $this->cost[4 * $i + $a[1]], $a[0], -$a[1]] <=> [
                    $b[0] * $this->cost[4 * $i + $b[1]],
                    $b[0],
                    -$b[1],
                ],
            );
            if ($must === null) {
                $levels[] = [0, 0];
            }
            $this->levels[] = $levels;
            $useful[] = array_keys($extents);
        }
        $this->columns = [];
        foreach ($this->members as $members) {
            $columns = [];
            foreach ($members as $i => [$least, $units]) {
                foreach ($useful[$i] as $extent) {
                    if ($extent >= $least) {
                        $columns[] = [$i, 4 * $i + $extent, $units];
                    }
                }
            }
            $this->columns[] = $columns;
        }
    }

    private function step(float $minutes): void
    {
        $this->nodes++;
        $bound = $minutes;
        $price = $this->cost;
        $branch = -1;
        $fewest = PHP_INT_MAX;
        $pick = -1;
        foreach ($this->lacks as $d => $lacks) {
            if ($lacks <= 0 || $this->active[$d] === 0) {
                continue;
            }
            $cheapest = INF;
            $least = -1;
            $left = 0;
            foreach ($this->columns[$d] as [$i, $at, $units]) {
                if ($this->decided[$i]) {
                    continue;
                }
                $left++;
                $each = $price[$at] / $units;
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
                if ($bound > $this->best + self::TIE) {
                    return;
                }
                foreach ($this->columns[$d] as [$i, $at, $units]) {
                    $price[$at] -= $units * $cheapest;
                }
            }
        }
        if ($branch < 0) {
            $this->leaf($minutes);

            return;
        }
        foreach ($this->levels[$pick] as [$passes, $extent]) {
            $this->decide($pick, $passes, $extent, $minutes);
            if ($this->anyWillDo && $this->bestUse !== null) {
                return;
            }
        }
    }

    /** Follows one level of a technique, and takes it back. */
    private function decide(int $i, int $passes, int $extent, float $minutes): void
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
        $cost = $minutes + $passes * $this->cost[4 * $i + $extent];
        if ($cost > $this->best + self::TIE) {
            return;
        }

        [$lacks, $active, $decided] = [$this->lacks, $this->active, $this->decided];
        foreach ($this->serves[$i] as [$d, $least, $units]) {
            if ($extent >= $least) {
                $this->lacks[$d] -= $passes * $units;
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
        if ($minutes > $this->best + self::TIE) {
            return;
        }
        $use = [];
        foreach ($this->passes as $i => $passes) {
            if ($passes > 0) {
                $use[] = [$i, $passes, $this->extent[$i]];
            }
        }
        if ($minutes < $this->best - self::TIE || $this->bestUse === null || self::before($use, $this->bestUse)) {
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
