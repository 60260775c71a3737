<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseChange;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/**
 * Reads a ladder for what cannot be meant so; with the studio's figures and an hourly rate also for what shows only on
 * them.
 */
final readonly class Lint
{
    private Kinds $kinds;

    private Proposals $proposals;

    /**
     * @param  list<Sculpt>  $figures  the studio's figures, to plan the tiers on
     * @param  FlatPaint  $flat  what light alone makes of a figure
     * @param  Money|null  $hourlyRate  what an hour at the bench costs, in the standard's currency
     */
    public function __construct(
        private Standard $standard,
        private array $figures = [],
        private ?Money $hourlyRate = null,
        private Planner $planner = new Planner(),
        private FlatPaint $flat = new FlatPaint(),
    ) {
        $this->kinds = new Kinds($standard);
        $this->proposals = new Proposals($standard);
    }

    /** @return list<Finding> of the ladder itself, tier by tier in clause order, then of its figures */
    public function findings(): array
    {
        return [
            ...$this->ofTheLadder(),
            ...(new FigureLint($this->standard, $this->figures, $this->hourlyRate, $this->planner))->findings(),
        ];
    }

    /** @return list<Finding> what needs no figure to be seen */
    public function ofTheLadder(): array
    {
        $findings = [];
        $seen = [];
        foreach ($this->standard->tiers as $tier) {
            $clauses = $this->standard->clausesOf($tier);
            $found = [
                ...$this->floorsAboveCeilings($tier, $clauses),
                ...$this->matchingNothing($tier, $tier->clauses),
                ...$this->nobodyMay($tier),
                ...(new UnseenClauses($this->kinds, $this->standard))->of($tier, $clauses),
                ...$this->lowersBar($tier),
                ...$this->asksNothing($tier, $clauses),
            ];
            foreach ($found as $finding) {
                // A clause that a tier takes from another is reported once, where it stands first.
                $what = $finding->kind->value.implode(' ', array_map(fn (Clause $c) => $c->id, $finding->clauses));
                if (! isset($seen[$what])) {
                    $findings[] = $finding;
                }
                $seen[$what] = true;
            }
        }

        return [...$findings, ...$this->rungs()];
    }

    /**
     * Contrast that a model in bare undercoat has by itself.
     *
     * @param  list<Clause>  $clauses
     * @return list<Finding>
     */
    private function asksNothing(Tier $tier, array $clauses): array
    {
        $findings = [];
        foreach (Clause::only(FinishClause::class, $clauses) as $clause) {
            $shown = $this->flat->shownUnder($clause);
            if ($shown !== null && $clause->limit <= $shown) {
                $edits = [$this->proposals->own($tier, $clause, new ClauseChange(limit: floor($shown) + 1))];
                $findings[] = new Finding(FindingKind::AsksNothing, $tier, [$clause], $edits, shown: $shown);
            }
        }

        return $findings;
    }

    /** @return list<Finding> each offered tier against the next one below it */
    private function rungs(): array
    {
        $offered = array_values(
            array_filter((new Grid($this->standard))->tiers(), fn (Tier $t) => $t->status === TierStatus::Offered),
        );
        $weaker = new WeakerRungs($this->standard);
        $findings = [];
        foreach (array_slice($offered, 1) as $i => $higher) {
            $lower = $offered[$i];
            if ($this->same($lower, $higher, $weaker)) {
                $edit = new TierEdit($higher, $higher->retired());
                $findings[] = new Finding(FindingKind::SameAs, $higher, [], [$edit], lower: $lower);

                continue;
            }
            array_push($findings, ...$weaker->between($lower, $higher));
        }

        return $findings;
    }

    private function same(Tier $lower, Tier $higher, WeakerRungs $weaker): bool
    {
        $rest = function (Tier $tier): array {
            $said = [];
            foreach ($this->standard->clausesOf($tier) as $clause) {
                $sameness = $this->kinds->views->of($clause)->sameness;
                $said += $sameness === null ? [] : [$sameness => true];
            }
            ksort($said);

            return [array_keys($said), $tier->pace, $tier->defaultStatus(), $tier->aim];
        };

        return $rest($lower) === $rest($higher) &&
            $weaker->between($lower, $higher) === [] &&
            $weaker->between($higher, $lower) === [];
    }

    /**
     * @param  list<Clause>  $clauses
     * @return list<Finding>
     */
    private function floorsAboveCeilings(Tier $tier, array $clauses): array
    {
        $findings = [];
        $ranges = array_filter(array_map(fn (Clause $c) => $this->kinds->views->of($c)->range, $clauses));
        foreach ($ranges as $i => [$min, $max]) {
            foreach ($ranges as $j => [$least, $most]) {
                [$floor, $ceiling] = [$clauses[$i], $clauses[$j]];
                if (
                    $floor::class !== $ceiling::class ||
                    $most === null ||
                    $min <= $most ||
                    ($i !== $j && ($least > $most || $min > ($max ?? INF)))
                ) {
                    continue;
                }
                if ($i !== $j && ! $this->meet($floor, $ceiling)) {
                    continue;
                }
                $edit = $this->proposals->own($tier, $ceiling, new ClauseChange(max: (float) $min));
                $both = $i === $j ? [$floor] : [$floor, $ceiling];
                $findings[] = new Finding(FindingKind::FloorAboveCeiling, $tier, $both, [$edit]);
            }
        }

        return $findings;
    }

    /** Whether some kind of area is in the scope of both. */
    private function meet(Clause $one, Clause $other): bool
    {
        if ($one->scope()->isApartFrom($other->scope())) {
            return false;
        }
        foreach (AreaKinds::toldApartBy([$one->scope(), $other->scope()], $one->scope()) as $kind) {
            [$area, $sculpt] = [$kind->area, $kind->sculpt];
            if ($this->kinds->inScope($one, $area, $sculpt) && $this->kinds->inScope($other, $area, $sculpt)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Clause>  $clauses
     * @return list<Finding>
     */
    private function matchingNothing(Tier $tier, array $clauses): array
    {
        $findings = [];
        foreach ($clauses as $clause) {
            $inScope = false;
            $works = false;
            foreach (AreaKinds::toldApartBy([$clause->scope()], $clause->scope()) as $kind) {
                [$area, $sculpt] = [$kind->area, $kind->sculpt];
                if ($this->kinds->inScope($clause, $area, $sculpt)) {
                    $inScope = true;
                    if ($this->kinds->canHold($clause, $area)) {
                        $works = true;
                        break;
                    }
                }
            }
            if (! $works) {
                $edit = new ClauseEdit($tier, $clause, null);
                $findings[] = new Finding(
                    FindingKind::MatchesNothing,
                    $tier,
                    [$clause],
                    [$edit],
                    isInScope: $inScope,
                );
            }
        }

        return $findings;
    }

    /**
     * An effect that the catalogue can give, but no technique that the tier allows.
     *
     * @return list<Finding>
     */
    private function nobodyMay(Tier $tier): array
    {
        $statuses = new Statuses($this->standard, $tier);
        $findings = [];
        foreach (Clause::only(EffectClause::class, $statuses->clauses) as $clause) {
            $could = [];
            $suffices = fn (Technique $t, AreaKind $k): bool => $statuses->mayUse($t, $k->area, $k->sculpt);
            foreach ($this->kindsFor($clause, $statuses, $suffices) as $kind) {
                [$area, $sculpt] = [$kind->area, $kind->sculpt];
                $isMeant = $this->kinds->inScope($clause, $area, $sculpt);
                foreach ($isMeant ? $this->kinds->serving($clause, $area) : [] as $technique) {
                    if ($suffices($technique, $kind)) {
                        continue 3;
                    }
                    $could[$technique->key] = $technique;
                }
            }
            // What nothing at all can give is another finding.
            if ($could !== []) {
                $could = array_values($could);
                $edit = $this->proposals->allowing($tier, $could[0], $clause);
                $findings[] = new Finding(FindingKind::NobodyMay, $tier, [$clause], [$edit], techniques: $could);
            }
        }

        return $findings;
    }

    /**
     * An effect that only work below the bar of the tier's pace can give, wherever the clause holds.
     *
     * @return list<Finding>
     */
    private function lowersBar(Tier $tier): array
    {
        $bar = $tier->pace->gradeBar();
        if ($bar === 1) {
            return [];
        }
        $statuses = new Statuses($this->standard, $tier);
        $findings = [];
        foreach (Clause::only(EffectClause::class, $statuses->clauses) as $clause) {
            if (! $this->kinds->views->isOnAreas($clause)) {
                continue;
            }
            $best = null;
            $better = null;
            $suffices = function (Technique $t, AreaKind $k) use ($statuses, $bar): bool {
                [$status] = $statuses->of($t, $k->area, $k->sculpt);

                return $status === TechniqueStatus::Required ||
                    ($status === TechniqueStatus::Allowed && self::gradeOn($t, $t->suit($k->area->relief)) >= $bar);
            };
            foreach ($this->kindsFor($clause, $statuses, $suffices) as $kind) {
                [$area, $sculpt] = [$kind->area, $kind->sculpt];
                $isMeant = $this->kinds->inScope($clause, $area, $sculpt);
                foreach ($isMeant ? $this->kinds->serving($clause, $area) : [] as $technique) {
                    if ($suffices($technique, $kind)) {
                        continue 3;
                    }
                    [$status] = $statuses->of($technique, $area, $sculpt);
                    $grade = self::gradeOn($technique, $technique->suit($area->relief));
                    if ($status === TechniqueStatus::Allowed) {
                        $best = max($best ?? 0, $grade);
                    } elseif ($grade >= $bar) {
                        $better ??= $technique;
                    }
                }
            }
            if ($best !== null) {
                $edits = $better === null ? [] : [$this->proposals->allowing($tier, $better, $clause)];
                $techniques = $better === null ? [] : [$better];
                $findings[] = new Finding(
                    FindingKind::LowersBar,
                    $tier,
                    [$clause],
                    $edits,
                    techniques: $techniques,
                    grade: $best,
                );
            }
        }

        return $findings;
    }

    /**
     * The grade at which a technique counts at best on a relief it suits so well; tidied work counts as 4 at least.
     */
    private static function gradeOn(Technique $technique, int $suit): int
    {
        $grade =
            $technique->grade === null
                ? 5
                : max(1, min(5, $technique->grade + ($suit === 3 ? 1 : ($suit === 1 ? -1 : 0))));

        return $technique->tidied ? max(4, $grade) : $grade;
    }

    /**
     * Kinds that the clause tells apart; then, unless something suffices on one of them, those that what is said of
     * its techniques tells apart as well, which are many more.
     *
     * @param  callable(Technique, AreaKind): bool  $suffices
     * @return iterable<AreaKind>
     */
    private function kindsFor(EffectClause $clause, Statuses $statuses, callable $suffices): iterable
    {
        foreach (AreaKinds::toldApartBy([$clause->scope()], $clause->scope()) as $kind) {
            $isMeant = $this->kinds->inScope($clause, $kind->area, $kind->sculpt);
            foreach ($isMeant ? $this->kinds->serving($clause, $kind->area) : [] as $technique) {
                if ($suffices($technique, $kind)) {
                    return [$kind];
                }
            }
        }
        $scopes = [$clause->scope()];
        foreach ($this->kinds->servedBy($clause) as $technique) {
            $naming = $statuses->namingIn($technique, $clause->scope());
            array_push($scopes, ...array_map(fn (TechniqueClause $c) => $c->scope(), $naming));
        }

        return AreaKinds::toldApartBy($scopes, $clause->scope());
    }
}
