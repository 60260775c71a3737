<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;

/**
 * The choice of techniques by trying everything: written from the definition, clause by clause, sharing nothing with
 * the
 * planner but the value objects and the matching of scopes. For cases without whole techniques, scheme and method.
 */
final class BruteForce
{
    /** @var list<array{int, int, int}>|null [catalogue place, passes, extent] */
    private ?array $best = null;

    private float $least = INF;

    /** @var list<Technique> by catalogue place: what may be used */
    private array $usable = [];

    /** @var array<string, list<TechniqueClause>> by technique key: the clauses that require it */
    private array $required = [];

    /** @var list<Clause> steps, effect and required clauses that hold here and can be met somehow */
    public array $asking = [];

    public function __construct(private readonly PlanRequest $request, private readonly Area $area)
    {
        foreach ($request->tier->clauses as $clause) {
            if (
                ($clause instanceof StepsClause || $clause instanceof EffectClause) &&
                $clause->scope()->matchesPainting($area, $request->sculpt) &&
                ! ($clause instanceof EffectClause && ! $this->possible($clause))
            ) {
                $this->asking[] = $clause;
            }
        }
        foreach ($request->standard->techniques as $place => $technique) {
            $status = $request->tier->defaultStatus ?? TechniqueStatus::NotOffered;
            if ($technique->key === 'tidy_base' && $status === TechniqueStatus::NotOffered) {
                $status = TechniqueStatus::Allowed;
            }
            $requiring = [];
            foreach ($request->tier->clauses as $clause) {
                if (
                    ! ($clause instanceof TechniqueClause) ||
                    ! $clause->scope()->matches($area, $request->sculpt) ||
                    ($clause->technique !== null
                        ? $clause->technique !== $technique->key
                        : $clause->family !== $technique->family)
                ) {
                    continue;
                }
                if ($clause->status === TechniqueStatus::Required) {
                    if ($this->fits($technique)) {
                        $requiring[] = $clause;
                        $status = TechniqueStatus::Required;
                    }
                } elseif ($clause->status !== TechniqueStatus::Allowed) {
                    $requiring = [];
                    $status = $clause->status;
                } elseif ($status !== TechniqueStatus::Required) {
                    $status = TechniqueStatus::Allowed;
                }
            }
            $covers =
                $technique->gives(Effect::BaseColour) !== Extent::None ||
                $technique->gives(Effect::Underlay) !== Extent::None;
            if ($this->isUnpainted() && $covers) {
                continue;
            }
            if (
                $this->fits($technique) &&
                ($status === TechniqueStatus::Required || $status === TechniqueStatus::Allowed)
            ) {
                $this->usable[$place] = $technique;
                $this->required[$technique->key] = $requiring;
            }
            array_push($this->asking, ...$requiring);
        }
        $order = array_flip(array_map(fn (Clause $c) => $c->id, $request->tier->clauses));
        usort($this->asking, fn (Clause $a, Clause $b) => $order[$a->id] <=> $order[$b->id]);
    }

    /**
     * @return array{float, list<array{int, int, int}>, int}|null minutes, choice as [catalogue place, passes,
     *     extent] and grade bar
     */
    public function solve(): ?array
    {
        for (
            $bar = match ($this->request->tier->pace) {
                Pace::Fast => 1,
                Pace::Even => 3,
                Pace::Finest => 4,
            };
            $bar >= 1;
            $bar--
        ) {
            $this->search($this->asking, $bar);
            if ($this->best !== null) {
                return [$this->least, $this->best, $bar];
            }
        }

        return null;
    }

    /** @param  list<Clause>  $clauses */
    public function canMeet(array $clauses): bool
    {
        $this->search($clauses, 1);

        return $this->best !== null;
    }

    /** @param  list<Clause>  $clauses */
    private function search(array $clauses, int $bar): void
    {
        $this->best = null;
        $this->least = INF;
        $this->extend(array_keys($this->usable), 0, [], 0.0, $clauses, $bar);
    }

    /**
     * @param  list<int>  $places
     * @param  list<array{int, int, int}>  $use
     * @param  list<Clause>  $clauses
     */
    private function extend(array $places, int $k, array $use, float $minutes, array $clauses, int $bar): void
    {
        if ($minutes > $this->least + 1e-9) {
            return;
        }
        if ($k === count($places)) {
            if ($this->holds($use, $clauses, $bar) && ($minutes < $this->least - 1e-9 || $this->sooner($use))) {
                $this->best = $use;
                $this->least = min($minutes, $this->least);
            }

            return;
        }
        $technique = $this->usable[$places[$k]];
        $this->extend($places, $k + 1, $use, $minutes, $clauses, $bar);
        for ($passes = 1; $passes <= $technique->maxPasses; $passes++) {
            for ($extent = 1; $extent <= 3; $extent++) {
                $this->extend(
                    $places,
                    $k + 1,
                    [...$use, [$places[$k], $passes, $extent]],
                    $minutes + $this->allPasses($technique, $passes, $extent),
                    $clauses,
                    $bar,
                );
            }
        }
    }

    /** The k-th pass of what tapers is reckoned k − 1 extents below the first, and never below a spot. */
    private function allPasses(Technique $t, int $passes, int $extent): float
    {
        $minutes = 0.0;
        for ($k = 1; $k <= $passes; $k++) {
            $minutes += $this->minutes($t, $t->taper === true ? max(1, $extent - ($k - 1)) : $extent);
        }

        return $minutes;
    }

    public function minutes(Technique $t, int $extent): float
    {
        $cm2 = ($this->request->sculpt->surfaceCm2 * $this->area->sharePct) / 100;
        $suit = [3 => 1.0, 2 => 1.25, 1 => 1.6][$this->suit($t)];
        $u = [1 => 0.15, 2 => 0.45, 3 => 1.0][$extent];
        $size = ! $t->big
            ? 1.0
            : match ($this->request->sculpt->size) {
                Size::Large, Size::Mounted => 0.8,
                Size::Vehicle, Size::Monster => 0.6,
                default => 1.0,
            };
        $cast =
            $t->mess > 0
                ? 1.0
                : ['soft' => 1.25, 'normal' => 1.0, 'crisp' => 0.9][
                    $this->request->sculpt->definition->value ?? 'normal'
                ];
        $pace = ['fast' => 1.0, 'even' => 1.5, 'finest' => 2.5][$this->request->tier->pace->value];

        $counted = ['fast' => 1.0, 'even' => 1.25, 'finest' => 1.5][$this->request->tier->pace->value];

        return ($t->handling + (($t->hand * $t->coats * $cm2) / 10) * $suit * $u * $size * $cast) *
            $this->area->access *
            $pace +
            $t->perPiece * $this->area->count * $counted;
    }

    /**
     * @param  list<array{int, int, int}>  $use
     * @param  list<Clause>  $clauses
     */
    private function holds(array $use, array $clauses, int $bar): bool
    {
        $credits = 0;
        $bases = 0;
        $tidied = $wash = $light = $leans = false;
        foreach ($use as [$place, $passes, $extent]) {
            $t = $this->usable[$place];
            $credits += $extent >= 2 ? $t->credit * $passes : 0;
            if ($t->gives(Effect::BaseColour) !== Extent::None) {
                $bases++;
                if ($passes !== 1 || $extent !== 3) {
                    return false;
                }
            }
            if (($t->gives(Effect::Underlay) !== Extent::None || $t->key === 'tidy_base') && $extent !== 3) {
                return false;
            }
            $tidied = $tidied || $t->key === 'tidy_base' || ($t->key === 'layer' && $extent === 3);
            $wash = $wash || $t->key === 'wash_all_over';
            $light =
                $light ||
                $t->gives(Effect::HighlightRaised) !== Extent::None ||
                $t->gives(Effect::HighlightEdge) !== Extent::None;
            foreach ($use as [$other, , $otherExtent]) {
                if ($extent > 1 && $otherExtent > 1 && in_array($this->usable[$other]->key, $t->excludes, true)) {
                    return false;
                }
            }
            // A method that does not say lays decals on gloss.
            foreach ($t->has(Effect::Mark) ? [...$t->needs, Effect::GlossGround] : $t->needs as $effect) {
                if (
                    array_filter(
                        $use,
                        fn (array $u) => $u[0] !== $place && $this->usable[$u[0]]->gives($effect) !== Extent::None,
                    ) === []
                ) {
                    return false;
                }
            }
            $graded = in_array(
                $t->family,
                [
                    Family::Spray,
                    Family::Base,
                    Family::Shade,
                    Family::Highlight,
                    Family::Blend,
                    Family::Line,
                    Family::Detail,
                ],
                true,
            );
            if ($graded && $t->grade !== null && $this->required[$t->key] === []) {
                $grade = max(1, min(5, $t->grade + [3 => 1, 2 => 0, 1 => -1][$this->suit($t)]));
                if ($grade < $bar) {
                    if (! $t->tidied || $bar > 4) {
                        return false;
                    }
                    $leans = true;
                }
            }
        }
        if ($bases !== ($this->area->rank === Rank::Ground || $this->isUnpainted() ? 0 : 1)) {
            return false;
        }
        if (! $tidied && ($leans || ($wash && $light && $this->request->tier->pace !== Pace::Fast))) {
            return false;
        }
        foreach ($clauses as $clause) {
            if (! $this->meets($use, $clause, $credits)) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<array{int, int, int}>  $use */
    private function meets(array $use, Clause $clause, int $credits): bool
    {
        if ($clause instanceof StepsClause) {
            return $credits >= $clause->min && ($clause->max === null || $credits <= $clause->max);
        }
        if ($clause instanceof EffectClause) {
            return $this->delivers($use, $clause);
        }
        assert($clause instanceof TechniqueClause);
        $have = 0;
        foreach ($use as [$place, $passes, $extent]) {
            $counts = $this->usable[$place]->key === $clause->technique && $extent >= ($clause->extent->value ?? 3);
            $have += $counts ? $passes : 0;
        }

        return $have >= ($clause->passes ?? 1);
    }

    /**
     * p passes at extent e: for each j below p, at least j + 1 delivered passes reach max(spot, e − j).
     *
     * @param  list<array{int, int, int}>  $use
     */
    private function delivers(array $use, EffectClause $clause): bool
    {
        $delivered = [];
        foreach ($use as [$place, $passes, $extent]) {
            $t = $this->usable[$place];
            $most = max(array_map(fn (Effect $e) => $t->gives($e)->value, $clause->effects));
            for ($k = 1; $k <= $passes && ($clause->by === null || in_array($t->key, $clause->by, true)); $k++) {
                $delivered[] = min($most, $t->taper === true ? max(1, $extent - ($k - 1)) : $extent);
            }
        }
        for ($j = 0; $j < ($clause->passes ?? 1); $j++) {
            $least = max(1, ($clause->extent->value ?? 3) - $j);
            if (count(array_filter($delivered, fn (int $d) => $d >= $least)) < $j + 1) {
                return false;
            }
        }

        return true;
    }

    private function fits(Technique $t): bool
    {
        return ! in_array($this->area->material, $t->neverOn, true) &&
            ($t->onlyOn === [] || in_array($this->area->material, $t->onlyOn, true)) &&
            $this->suit($t) > 0 &&
            ! ($this->area->rank === Rank::Ground && $t->gives(Effect::BaseColour) !== Extent::None);
    }

    /** Whether an amendment leaves the base out here: then nothing gives one, and there is no underlay either. */
    private function isUnpainted(): bool
    {
        foreach ($this->request->amendments as $amendment) {
            if ($amendment->clause === 'base' && in_array($this->area->key, $amendment->scope->area ?? [], true)) {
                return $this->area->rank !== Rank::Ground;
            }
        }

        return false;
    }

    private function suit(Technique $t): int
    {
        $best = 0;
        foreach ($this->area->relief as $relief) {
            $best = max($best, $t->suits[$relief->value] ?? 0);
        }

        return $best;
    }

    private function possible(EffectClause $clause): bool
    {
        foreach ($this->request->standard->techniques as $t) {
            foreach ($clause->effects as $effect) {
                if (
                    $this->fits($t) &&
                    $t->gives($effect)->value >= ($clause->extent->value ?? 3) &&
                    ($clause->by === null || in_array($t->key, $clause->by, true))
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  list<array{int, int, int}>  $use */
    private function sooner(array $use): bool
    {
        if ($this->best === null || count($use) !== count($this->best)) {
            return $this->best === null || count($use) < count($this->best);
        }
        $flat = fn (array $list): array => array_map(fn (array $u) => [$u[0], $u[1], 3 - $u[2]], $list);

        return $flat($use) < $flat($this->best);
    }
}
