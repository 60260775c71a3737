<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\StepsRequirement;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\WellKnown;

/** An area's problem at one grade bar, set out in plain arrays for the search of {@see AreaSearch}. */
final class SolverTables
{
    /** @var list<Candidate> those within the grade bar */
    public array $candidates = [];

    /**
     * @var list<float> minutes of one pass of candidate i at extent u, at 4i + u; after these, of all passes of those
     * levels that taper
     */
    public array $cost = [];

    /**
     * @var list<list<array{int, int, float}>> by candidate: the [passes, extent of the first, minutes] it can usefully
     * have, cheapest first
     */
    public array $levels = [];

    /** @var list<bool> */
    public array $isBase = [];

    /** @var list<bool> */
    public array $isLight = [];

    /** @var list<int> */
    public array $credit = [];

    /** @var list<list<int>> by candidate: those it excludes */
    public array $excludes = [];

    /** @var list<list<int>> by candidate: demands that arise when it is chosen */
    public array $raises = [];

    /** @var list<int> units each demand asks for */
    public array $asked = [];

    /** @var list<int> 1 for demands that stand from the start */
    public array $active = [];

    /**
     * @var list<list<array{int, int, int}>> by demand: [candidate, place in cost, units for that cost] for each useful
     * extent
     */
    public array $columns = [];

    /**
     * @var list<list<array{int, int, int, bool}>> by candidate: [demand, least extent that counts, units a pass,
     * whether passes that have tapered below that extent do not count]
     */
    public array $serves = [];

    public ?int $mostCredit = null;

    public int $wash = -1;

    public int $tidying = -1;

    /** @var list<array<int, array{int, int}>> by demand: candidate to [least extent that counts, units a pass] */
    private array $members = [];

    /** @var array<int, true> demands to which each pass counts by its own extent */
    private array $byPass = [];

    /** @var array<string, TechniqueRequirement> by technique */
    private array $required = [];

    /** @var list<EffectRequirement> */
    private array $effects = [];

    private ?StepsRequirement $steps = null;

    /** @var list<bool> by candidate: below the bar, and used only where it is tidied */
    private array $isRescued = [];

    /** @var array<string, int> technique to candidate */
    private array $place = [];

    private function __construct(private readonly AreaProblem $problem)
    {
    }

    /** Null when a required technique cannot have its passes at all. */
    public static function of(AreaProblem $problem, int $bar): ?self
    {
        $tables = new self($problem);
        $tables->sortRequirements();
        $tables->takeCandidates($bar);
        if (! $tables->canHaveWhatIsRequired()) {
            return null;
        }
        $tables->describeCandidates();
        $tables->raiseDemands();
        $tables->raiseDemandsOfCandidates();
        $tables->layOutLevels();

        return $tables;
    }

    private function sortRequirements(): void
    {
        $sorted = new SortedRequirements();
        foreach ($this->problem->requirements as $requirement) {
            $requirement->accept($sorted);
        }
        [$this->required, $this->steps, $this->effects] = [$sorted->required, $sorted->counted, $sorted->effects];
        $this->mostCredit = $this->steps?->max;
    }

    /** Those that the bar lets in and that could serve something, be it only what another one needs. */
    private function takeCandidates(int $bar): void
    {
        $useful = [];
        foreach ($this->effects as $requirement) {
            foreach ($requirement->effects as $effect) {
                $useful[$effect->value] = true;
            }
        }
        foreach ($this->problem->candidates as $candidate) {
            foreach ($candidate->needs as $effect) {
                $useful[$effect->value] = true;
            }
        }
        $credits = $this->steps?->min > 0;
        $always = [WellKnown::TIDY => true, WellKnown::LAYER => true] + $this->required;
        foreach ($this->problem->candidates as $candidate) {
            $key = $candidate->technique->key;
            $serves =
                isset($always[$key]) ||
                ($credits && $candidate->technique->credit > 0) ||
                $candidate->isBase() ||
                $candidate->isWash() ||
                array_intersect_key($candidate->technique->effects, $useful) !== [];
            $below = $candidate->grade !== null && $candidate->grade < $bar && ! isset($this->required[$key]);
            if ($serves && (! $below || ($candidate->technique->tidied && $bar <= 4))) {
                $this->place[$key] = count($this->candidates);
                $this->isRescued[] = $below;
                $this->candidates[] = $candidate;
            }
        }
    }

    private function canHaveWhatIsRequired(): bool
    {
        foreach ($this->required as $key => $requirement) {
            if (
                ! isset($this->place[$key]) ||
                $requirement->passes > $this->passesLeft($this->candidates[$this->place[$key]])
            ) {
                return false;
            }
        }

        return true;
    }

    private function passesLeft(Candidate $candidate): int
    {
        return $candidate->technique->maxPasses - ($this->problem->passesDone[$candidate->technique->key] ?? 0);
    }

    private function describeCandidates(): void
    {
        foreach ($this->candidates as $candidate) {
            array_push($this->cost, ...$candidate->minutes);
            $this->isBase[] = $this->problem->needsBase && $candidate->isBase();
            $this->isLight[] = $candidate->isLight();
            $this->credit[] = $candidate->technique->credit;
            $this->excludes[] = [];
            $this->raises[] = [];
        }
        foreach ($this->candidates as $i => $candidate) {
            foreach ($candidate->technique->excludes as $other) {
                if (isset($this->place[$other]) && $this->place[$other] !== $i) {
                    $this->excludes[$i][] = $this->place[$other];
                    $this->excludes[$this->place[$other]][] = $i;
                }
            }
        }
    }

    /** What is asked of the area whatever is chosen: its base, required techniques, effects and colour steps. */
    private function raiseDemands(): void
    {
        if ($this->problem->needsBase) {
            $this->demand(1, array_fill_keys(array_keys($this->isBase, true, true), [Extent::Full->value, 1]), true);
        }
        foreach ($this->required as $key => $requirement) {
            $this->demand($requirement->passes, [$this->place[$key] => [$requirement->extent->value, 1]], true);
        }
        foreach ($this->effects as $requirement) {
            $delivers = array_map(
                fn (Candidate $c) => $requirement->deliveredBy($c->technique)->value,
                $this->candidates,
            );
            foreach ($requirement->thresholds() as $extent => $passes) {
                $serves = array_filter($delivers, fn (int $most) => $most >= $extent);
                $members = array_fill_keys(array_keys($serves), [$extent, 1]);
                $this->byPass[$this->demand($passes, $members, true)] = true;
            }
        }
        if ($this->steps !== null && $this->steps->min > 0) {
            $members = [];
            foreach ($this->credit as $i => $credit) {
                if ($credit > 0) {
                    $members[$i] = [Extent::Prominent->value, $credit];
                }
            }
            $this->demand($this->steps->min, $members, true);
        }
    }

    /** What arises only when something is chosen: the tidying of a wash, the wash under a decal, what is needed. */
    private function raiseDemandsOfCandidates(): void
    {
        $this->wash = $this->problem->pace === Pace::Fast ? -1 : $this->place[WellKnown::WASH] ?? -1;
        $tidiers = [];
        foreach ([WellKnown::TIDY, WellKnown::LAYER] as $key) {
            if (isset($this->place[$key])) {
                $tidiers[$this->place[$key]] = [Extent::Full->value, 1];
            }
        }
        $this->tidying = $this->demand($this->problem->tidied ? 0 : 1, $tidiers, false);
        foreach ($this->candidates as $i => $candidate) {
            if ($this->isRescued[$i]) {
                $this->raises[$i][] = $this->tidying;
            }
            if ($candidate->needsWash) {
                // What is done already is dry: only a wash of this plan will do.
                $isOther = fn (Candidate $c): bool => $c !== $candidate && $c->isWash();
                $washes = array_keys(array_filter($this->candidates, $isOther));
                $this->raises[$i][] = $this->demand(1, array_fill_keys($washes, [Extent::Spot->value, 1]), false);
            }
            foreach ($candidate->needs as $effect) {
                if (! in_array($effect, $this->problem->given, true)) {
                    $this->raises[$i][] = $this->demand(1, $this->giversOf($effect, $i), false);
                }
            }
        }
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

    /** A technique is worth using only at the extents at which it serves a demand. */
    private function layOutLevels(): void
    {
        $this->serves = array_fill(0, count($this->candidates), []);
        foreach ($this->members as $d => $members) {
            foreach ($members as $i => [$least, $units]) {
                $tapers = isset($this->byPass[$d]) && $least > 1 && $this->candidates[$i]->technique->taper === true;
                $this->serves[$i][] = [$d, $least, $units, $tapers];
            }
        }
        $this->columns = array_fill(0, count($this->members), []);
        foreach ($this->candidates as $i => $candidate) {
            if ($this->serves[$i] === []) {
                $this->levels[] = [[0, 0, 0.0]];

                continue;
            }
            $extents = $this->usefulExtents($i, $candidate);
            $levels = $this->levelsOf($i, $candidate, $extents);
            if ($candidate->technique->taper === true) {
                $this->layOutTapering($i, $levels);
            } else {
                foreach ($this->serves[$i] as [$d, $least, $units]) {
                    foreach ($extents as $extent) {
                        if ($extent >= $least) {
                            $this->columns[$d][] = [$i, 4 * $i + $extent, $units];
                        }
                    }
                }
            }
            $this->levels[] = isset($this->required[$candidate->technique->key]) ? $levels : [...$levels, [0, 0, 0.0]];
        }
    }

    /**
     * Passes that taper do not cost alike, so that each level is a column of its own.
     *
     * @param  list<array{int, int, float}>  $levels
     */
    private function layOutTapering(int $i, array $levels): void
    {
        foreach ($levels as [$passes, $extent, $minutes]) {
            $place = count($this->cost);
            $this->cost[] = $minutes;
            foreach ($this->serves[$i] as [$d, $least, $units, $tapers]) {
                if ($extent >= $least) {
                    $reaching = $tapers ? min($passes, $extent - $least + 1) : $passes;
                    $this->columns[$d][] = [$i, $place, $units * $reaching];
                }
            }
        }
    }

    /**
     * @return list<int> where a wider extent costs the same it is looked at too, as ties go to the fuller one
     */
    private function usefulExtents(int $i, Candidate $candidate): array
    {
        $extents = [];
        foreach ($this->serves[$i] as [$d, $least, , $tapers]) {
            $extents[$least] = true;
            // Begun wider, more of its passes still reach the extent.
            for ($wider = $least + 1; $tapers && $wider <= min(3, $least + $this->asked[$d] - 1); $wider++) {
                $extents[$wider] = true;
            }
        }
        if ($candidate->isAlwaysFull()) {
            $extents = $extents === [] ? [] : [Extent::Full->value => true];
        }
        foreach (array_keys($extents) as $extent) {
            for ($wider = $extent + 1; $wider <= Extent::Full->value; $wider++) {
                if ($this->cost[4 * $i + $wider] - $this->cost[4 * $i + $extent] <= AreaProblem::TIE) {
                    $extents[$wider] = true;
                }
            }
        }

        return array_keys($extents);
    }

    /**
     * For no more passes than the longest of the demands it serves asks for.
     *
     * @param  list<int>  $extents
     * @return list<array{int, int, float}> [passes, extent of the first, minutes], cheapest first
     */
    private function levelsOf(int $i, Candidate $candidate, array $extents): array
    {
        $must = $this->required[$candidate->technique->key] ?? null;
        $levels = [];
        foreach ($extents as $extent) {
            $isTooWide = $extent > Extent::Spot->value && isset($this->problem->spotOnly[$candidate->technique->key]);
            if ($isTooWide || ($must !== null && $extent < $must->extent->value)) {
                continue;
            }
            $most = 0;
            foreach ($this->serves[$i] as [$d, $least, $units, $tapers]) {
                if ($least <= $extent) {
                    $useful = (int) ceil($this->asked[$d] / $units);
                    $most = max($most, $tapers ? min($useful, $extent - $least + 1) : $useful);
                }
            }
            $most = min($this->isBase[$i] ? 1 : $this->passesLeft($candidate), $most);
            $minutes = 0.0;
            for ($passes = 1; $passes <= $most; $passes++) {
                $at = $candidate->technique->taper === true ? max(1, $extent - $passes + 1) : $extent;
                $minutes += $this->cost[4 * $i + $at];
                if ($passes >= ($must->passes ?? 1)) {
                    $levels[] = [$minutes, $passes, -$extent];
                }
            }
        }
        sort($levels);

        return array_map(fn (array $l): array => [$l[1], -$l[2], $l[0]], $levels);
    }
}
