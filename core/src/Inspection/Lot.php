<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Standard\AcceptanceClause;

/**
 * Pieces of a unit that are offered together, of which a sample is checked: drawn once, the larger of the samples that
 * the majors and the minors want, each judged on the first of its own number (MIL-STD-105E, single sampling).
 */
final readonly class Lot
{
    /**
     * @param  list<int>  $drawn  numbers of the pieces, in the order in which they were drawn
     * @param  array<string, SamplingPlan>  $plans  by the word of the severity they are for
     */
    private function __construct(public int $size, public array $drawn, public array $plans)
    {
    }

    /**
     * @param  list<int>  $pieces  numbers of those that are offered together
     * @return self|null null: the clause wants every piece checked, or the tables have no sample for so few
     */
    public static function of(AcceptanceClause $clause, array $pieces, int $seed, bool $isTightened): ?self
    {
        if (! $clause->sampled || count($pieces) < 2) {
            return null;
        }
        $plans = [];
        foreach ($clause->aql ?? [] as $severity => $aql) {
            $plan = Sampling::plan(count($pieces), $clause->level ?? 'II', $aql, $isTightened);
            if ($plan === null) {
                return null;
            }
            $plans[$severity] = $plan;
        }
        if ($plans === []) {
            return null;
        }
        $n = max(array_map(fn (SamplingPlan $p) => $p->n, $plans));

        return new self(count($pieces), Sampling::draw($pieces, $n, $seed), $plans);
    }

    /**
     * One that was drawn before.
     *
     * @param  list<int>  $drawn
     * @param  array<string, SamplingPlan>  $plans
     */
    public static function kept(int $size, array $drawn, array $plans): self
    {
        return new self($size, $drawn, $plans);
    }

    /**
     * What the sample says so far.
     *
     * @param  array<int, array{critical: int, major: int, minor: int}>  $found  faults of those that were checked, by
     *     number
     * @param  int  $minorLimit  minors that a piece may have
     */
    public function verdict(array $found, int $minorLimit): LotVerdict
    {
        if (array_filter($found, fn (array $f) => $f['critical'] > 0) !== []) {
            return LotVerdict::Refused;
        }
        $isOpen = false;
        foreach ($this->plans as $severity => $plan) {
            $bad = 0;
            foreach (array_slice($this->drawn, 0, $plan->n) as $number) {
                $isOpen = $isOpen || ! isset($found[$number]);
                $faults = $found[$number][$severity] ?? 0;
                $bad += $faults > ($severity === 'minor' ? $minorLimit : 0) ? 1 : 0;
            }
            if ($bad > $plan->accepts) {
                return LotVerdict::Refused;
            }
        }

        return $isOpen ? LotVerdict::Open : LotVerdict::Accepted;
    }
}
