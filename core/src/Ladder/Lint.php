<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Format\ClauseFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\ScopeFormat;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Inspection\CheckList;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Seeing\NoticingSize;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use stdClass;

/**
 * Reads a ladder for what cannot be meant so. The kinds of finding: `floor_above_ceiling`, `matches_nothing`,
 * `nobody_may`, `nobody_sees`, `asks_less`, `same_as`, `lowers_bar`; with the studio's figures also `cannot_be_met`,
 * `over_minutes`, and with an hourly rate `below_cost`.
 */
final readonly class Lint
{
    private Kinds $kinds;

    /**
     * @param  list<Sculpt>  $figures  the studio's figures, to plan the tiers on
     * @param  string|null  $hourlyRate  what an hour at the bench costs, a decimal in the standard's currency
     */
    public function __construct(
        private Standard $standard,
        private array $figures = [],
        private ?string $hourlyRate = null,
    ) {
        $this->kinds = new Kinds($standard);
    }

    /** @return list<Finding> of the ladder itself, tier by tier in clause order, then of its figures */
    public function findings(): array
    {
        return [
            ...$this->ofTheLadder(),
            ...(new FigureLint($this->standard, $this->figures, $this->hourlyRate))->findings(),
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
                ...$this->nobodySees($tier, $clauses),
                ...$this->lowersBar($tier),
            ];
            foreach ($found as $finding) {
                // A clause that a tier takes from another is reported once, where it stands first.
                $what = $finding->kind.implode(' ', $finding->clauses);
                if (! isset($seen[$what])) {
                    $findings[] = $finding;
                }
                $seen[$what] = true;
            }
        }

        return [...$findings, ...$this->rungs()];
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
                $head = self::head($higher);
                $after = clone $head;
                $after->status = TierStatus::Retired->value;
                $findings[] = new Finding(
                    'same_as',
                    $higher->key,
                    [],
                    "$higher->name asks exactly "."what $lower->name asks: a client would pay for a name.",
                    "Retire $higher->name, or say what it does more.",
                    [new Edit('tier', null, $head, $after)],
                );

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
                if ($clause instanceof StepsClause) {
                    $said[
                        'steps '.Json::canonical(ScopeFormat::write($clause->scope())).' '.($clause->max ?? '')
                    ] = true;
                } elseif (! ($clause instanceof EffectClause)) {
                    $written = ClauseFormat::write($clause);
                    unset($written->id, $written->label, $written->client_text, $written->severity);
                    $said[Json::canonical($written)] = true;
                }
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
        $ranged = array_values(
            array_filter($clauses, fn (Clause $c) => $c instanceof StepsClause || $c instanceof SprayedColoursClause),
        );
        foreach ($ranged as $i => $floor) {
            foreach ($ranged as $j => $ceiling) {
                if (
                    $floor::class !== $ceiling::class ||
                    $ceiling->max === null ||
                    $floor->min <= $ceiling->max ||
                    ($i !== $j && ($ceiling->min > $ceiling->max || $floor->min > ($floor->max ?? INF)))
                ) {
                    continue;
                }
                if ($i !== $j && ! $this->meet($floor, $ceiling)) {
                    continue;
                }
                $what = $floor instanceof StepsClause ? 'colour steps' : 'sprayed colours';
                $findings[] = new Finding(
                    'floor_above_ceiling',
                    $tier->key,
                    array_values(array_unique([$floor->id, $ceiling->id])),
                    "$floor->id asks for at least $floor->min $what where $ceiling->id allows at ".
                        "most $ceiling->max: nothing can meet both.",
                    "Raise the ceiling of $ceiling->id to $floor->min, lower the ".
                        "floor of $floor->id to $ceiling->max, or let their scopes not overlap.",
                    $this->own($tier, $ceiling, fn (stdClass $c) => ($c->max = $floor->min)),
                );
            }
        }

        return $findings;
    }

    /** Whether some kind of area is in the scope of both. */
    private function meet(Clause $one, Clause $other): bool
    {
        foreach (AreaKinds::toldApartBy([$one->scope(), $other->scope()]) as [$area, $sculpt]) {
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
            foreach (AreaKinds::toldApartBy([$clause->scope()]) as [$area, $sculpt]) {
                if ($this->kinds->inScope($clause, $area, $sculpt)) {
                    $inScope = true;
                    if ($this->kinds->canHold($clause, $area)) {
                        $works = true;
                        break;
                    }
                }
            }
            if (! $works) {
                [$why, $change] = $inScope
                    ? [
                        "Nothing $clause->id asks for can be done on any area in its scope: no ".
                        'technique fits the material and relief there.',
                        'Take it out; or change its scope, its extent or the techniques it names.',
                    ]
                    : [
                        "No area of any model can be in the scope of $clause->id.",
                        'Take it out; or widen its scope, or name the ground in it if the ground is meant.',
                    ];
                $findings[] = new Finding('matches_nothing', $tier->key, [$clause->id], $why, $change, [
                    new Edit('clause', $tier->key, ClauseFormat::write($clause), null),
                ]);
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
        foreach ($statuses->clauses as $clause) {
            if (! ($clause instanceof EffectClause)) {
                continue;
            }
            $could = [];
            foreach ($this->kindsFor($clause, $statuses) as [$area, $sculpt]) {
                foreach (
                    $this->kinds->inScope($clause, $area, $sculpt) ? $this->kinds->serving($clause, $area) : [] as $technique
                ) {
                    if ($statuses->mayUse($technique, $area, $sculpt)) {
                        continue 3;
                    }
                    $could[$technique->key] = $technique;
                }
            }
            // What nothing at all can give is another finding.
            if ($could !== []) {
                $first = array_values($could)[0];
                $findings[] = new Finding(
                    'nobody_may',
                    $tier->key,
                    [$clause->id],
                    "$clause->id asks for ".
                        Words::clause($clause, $this->standard).
                        ", and $tier->name allows ".
                        'no technique that gives it.',
                    "Allow $first->name at $tier->name".
                        (count($could) > 1
                            ? ', or another of '.
                                implode(
                                    ', ',
                                    array_map(fn (Technique $t) => $t->name, array_slice(array_values($could), 1, 4)),
                                )
                            : '').
                        '.',
                    [$this->allowing($tier, $first, $clause)],
                );
            }
        }

        return $findings;
    }

    /**
     * A clause no check can see: its marks are too small for the tier's distance, or nobody looks from there.
     *
     * @param  list<Clause>  $clauses
     * @return list<Finding>
     */
    private function nobodySees(Tier $tier, array $clauses): array
    {
        $visible = NoticingSize::mm($tier->viewing->distanceCm, 1);
        $accepts = array_values(array_filter($clauses, fn (Clause $c) => $c instanceof AcceptanceClause));
        $findings = [];
        foreach ($clauses as $clause) {
            $painted =
                $clause instanceof EffectClause ||
                ($clause instanceof TechniqueClause && $clause->status === TechniqueStatus::Required);
            if (! $painted && ! ($clause instanceof FinishClause) && ! ($clause instanceof StepsClause)) {
                continue;
            }
            $marks = ! $painted
                ? []
                : array_map(
                    fn (Technique $t) => $t->markMm,
                    array_filter(
                        $this->standard->techniques,
                        fn (Technique $t) => $clause instanceof EffectClause
                            ? Strength::requirement($clause)->isServedBy($t)
                            : $clause instanceof TechniqueClause && $clause->names($t),
                    ),
                );
            if ($marks !== [] && ! in_array(null, $marks, true) && max($marks) < $visible) {
                $findings[] = new Finding(
                    'nobody_sees',
                    $tier->key,
                    [$clause->id],
                    sprintf(
                        '%s leaves marks of at most %s mm, and '.
                            'from %s cm the '.
                            'sharpest eye '.
                            'sees no less '.
                            'than %.2f mm.',
                        $clause->id,
                        max($marks),
                        $tier->viewing->distanceCm,
                        $visible,
                    ),
                    "Leave it out at $tier->name: nobody can check it.",
                    $this->without($tier, $clause),
                );
            } elseif ($accepts !== [] && ($unseen = $this->unseenView($clause, $accepts)) !== null) {
                $findings[] = new Finding(
                    'nobody_sees',
                    $tier->key,
                    [$clause->id, $accepts[0]->id],
                    "$clause->id asks ".
                        'for something in the view from '.
                        $unseen.
                        ", and no check at $tier->name looks from there.",
                    "Look from $unseen in the check, or "."leave $clause->id out.",
                    $this->own(
                        $tier,
                        $accepts[0],
                        fn (stdClass $c) => ($c->views = [
                            ...array_map(fn ($v) => $v->value, $accepts[0]->views),
                            $unseen,
                        ]),
                    ),
                );
            }
        }

        return $findings;
    }

    /**
     * The view in which alone the clause can be seen and which no acceptance of the models it speaks of names.
     *
     * @param  list<AcceptanceClause>  $accepts
     */
    private function unseenView(Clause $clause, array $accepts): ?string
    {
        if (
            $clause->scope()->facing === null &&
            $clause->scope()->rank === null &&
            $clause->scope()->material === null &&
            $clause->scope()->relief === null
        ) {
            return null;
        }
        if ($clause instanceof EffectClause && ! $this->kinds->isOnAreas($clause)) {
            return null;
        }
        $only = null;
        foreach (AreaKinds::toldApartBy([$clause->scope()]) as [$area, $sculpt]) {
            if (! $this->kinds->inScope($clause, $area, $sculpt) || ! $this->kinds->canHold($clause, $area)) {
                continue;
            }
            $view = CheckList::viewOf($area)->value;
            $looked = false;
            foreach ($accepts as $accept) {
                $applies =
                    array_intersect(
                        array_map(fn (Role $r) => $r->value, $accept->role),
                        array_map(fn (Role $r) => $r->value, $clause->scope()->role ?? Role::cases()),
                    ) !== [];
                $looked =
                    $looked || ($applies && in_array($view, array_map(fn ($v) => $v->value, $accept->views), true));
            }
            if ($looked) {
                return null;
            }
            $only = $view;
        }

        return $only;
    }

    /**
     * An effect that only work below the bar of the tier's pace can give, wherever the clause holds.
     *
     * @return list<Finding>
     */
    private function lowersBar(Tier $tier): array
    {
        $bar = self::bar($tier->pace);
        if ($bar === 1) {
            return [];
        }
        $statuses = new Statuses($this->standard, $tier);
        $findings = [];
        foreach ($statuses->clauses as $clause) {
            if (! ($clause instanceof EffectClause) || ! $this->kinds->isOnAreas($clause)) {
                continue;
            }
            $best = null;
            $better = null;
            foreach ($this->kindsFor($clause, $statuses) as [$area, $sculpt]) {
                foreach (
                    $this->kinds->inScope($clause, $area, $sculpt) ? $this->kinds->serving($clause, $area) : [] as $technique
                ) {
                    [$status] = $statuses->of($technique, $area, $sculpt);
                    $grade = self::gradeOn($technique, $technique->suit($area->relief));
                    if (
                        $status === TechniqueStatus::Required ||
                        ($status === TechniqueStatus::Allowed && $grade >= $bar)
                    ) {
                        continue 3;
                    }
                    if ($status === TechniqueStatus::Allowed) {
                        $best = max($best ?? 0, $grade);
                    } elseif ($grade >= $bar) {
                        $better ??= $technique;
                    }
                }
            }
            if ($best !== null) {
                $findings[] = new Finding(
                    'lowers_bar',
                    $tier->key,
                    [$clause->id],
                    "$clause->id can only be met by work of ".
                        "grade $best or less, and the ".
"pace of $tier->name wants grade $bar: the bar is lowered wherever it holds.",
                    $better === null
                        ? "Allow something cleaner that gives it, or leave $clause->id out."
                        : "Allow $better->name at $tier->name.",
                    $better === null ? $this->without($tier, $clause) : [$this->allowing($tier, $better, $clause)],
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

    /** The grade each pace asks of painting (model: 1, 3, 4 at pace fast, even, finest). */
    public static function bar(Pace $pace): int
    {
        return match ($pace) {
            Pace::Fast => 1,
            Pace::Even => 3,
            Pace::Finest => 4,
        };
    }

    /** @return iterable<array{Area, Sculpt}> kinds that the clause and what is said of its techniques tell apart */
    private function kindsFor(EffectClause $clause, Statuses $statuses): iterable
    {
        $scopes = [$clause->scope()];
        foreach ($this->standard->techniques as $technique) {
            if (Strength::requirement($clause)->isServedBy($technique)) {
                array_push(
                    $scopes,
                    ...array_map(fn (TechniqueClause $c) => $c->scope(), $statuses->naming($technique)),
                );
            }
        }

        return AreaKinds::toldApartBy($scopes);
    }

    private function allowing(Tier $tier, Technique $technique, Clause $for): Edit
    {
        $id = "$tier->key.allow.$technique->key";
        $taken = array_map(fn (Clause $c) => $c->suffix(), $this->standard->clausesOf($tier));
        while (in_array(substr($id, strlen($tier->key) + 1), $taken, true)) {
            $id .= '_too';
        }
        $clause = (object) [
            'id' => $id,
            'kind' => 'technique',
            'technique' => $technique->key,
            'status' => 'allowed',
        ];
        if ($for->scope !== null && ! $technique->whole) {
            $clause->scope = ScopeFormat::write($for->scope);
        }

        return new Edit('clause', $tier->key, null, $clause);
    }

    /** @return list<Edit> takes the clause out of the tier, whether it is its own or comes from below */
    private function without(Tier $tier, Clause $clause): array
    {
        if (in_array($clause, $tier->clauses, true)) {
            return [new Edit('clause', $tier->key, ClauseFormat::write($clause), null)];
        }
        $head = self::head($tier);
        $after = clone $head;
        $after->drop = [...$tier->drop ?? [], $clause->suffix()];

        return [new Edit('tier', null, $head, $after)];
    }

    /**
     * The clause as the tier states it itself, changed.
     *
     * @param  callable(stdClass): mixed  $change
     * @return list<Edit>
     */
    private function own(Tier $tier, Clause $clause, callable $change): array
    {
        $own = in_array($clause, $tier->clauses, true) ? ClauseFormat::write($clause) : null;
        $after = ClauseFormat::write($clause);
        $after->id = $own === null ? "$tier->key.{$clause->suffix()}" : $clause->id;
        $change($after);

        return [new Edit('clause', $tier->key, $own, $after)];
    }

    /** A tier as it stands in a document, without its clauses. */
    public static function head(Tier $tier): stdClass
    {
        $head = StandardFormat::writeTier($tier);
        unset($head->clauses);

        return $head;
    }
}
