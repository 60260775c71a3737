<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Ladder\AreaKind;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\FindingKind;
use Ordotype\Core\Ladder\Row;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;

/** The ladder in words: rows, cells, and what the lint finds, with the change that mends it. */
final readonly class LadderWords
{
    private ClauseWords $words;

    public function __construct(private Standard $standard)
    {
        $this->words = new ClauseWords($standard);
    }

    /** @return list<string> the words of each cell of a row; empty where the tier says nothing */
    public function cells(Row $row): array
    {
        $texts = array_map(
            fn ($cell) => $cell->clause === null ? null : $this->words->text($cell->clause),
            $row->cells,
        );
        $which = array_filter(array_map(fn (?ClauseText $t) => $t?->which, $texts), fn (?string $w) => $w !== null);
        $varies = count(array_unique($which)) > 1;

        return array_map(
            fn (?ClauseText $t) => $t === null ? '' : ($varies ? $t->which ?? $t->cell : $t->cell),
            $texts,
        );
    }

    /**
     * One line for a whole family that is merely allowed: "all but wash all over".
     *
     * @param  Row  $whole  the row of the family as such
     * @param  list<Row>  $others  the rows of its single techniques
     * @return list<string> for each tier; empty where it says nothing of the family
     */
    public function family(Row $whole, array $others): array
    {
        $words = [];
        foreach (array_keys($whole->cells) as $i) {
            $said = ['allowed' => [], 'shut' => []];
            $single = array_map(fn (Row $row) => $row->cells[$i]->clause, $others);
            foreach (Clause::only(TechniqueClause::class, $single) as $clause) {
                if ($clause->technique !== null) {
                    $where = $this->words->scope($clause->scope());
                    $said[$clause->status === TechniqueStatus::Allowed ? 'allowed' : 'shut'][] =
                        $this->words->techniqueName($clause->technique).($where === '' ? '' : " on $where");
                }
            }
            $of = Clause::only(TechniqueClause::class, [$whole->cells[$i]->clause])[0] ?? null;
            $all = $of?->status === TechniqueStatus::Allowed;
            $where = $of === null ? '' : $this->words->scope($of->scope());
            $words[] = match (true) {
                $all => 'all'.($where === '' ? '' : " on $where").
                    ($said['shut'] === [] ? '' : ' but '.Terms::any($said['shut'], ' and ')),
                $said['allowed'] !== [] => 'only '.Terms::any($said['allowed'], ' and '),
                $of !== null || $said['shut'] !== [] => 'none',
                default => '',
            };
        }

        return $words;
    }

    /** Why a finding cannot be meant so. */
    public function why(Finding $f): string
    {
        $tier = $f->tier->name;
        $figure = $f->figure->name ?? 'figure';
        $first = $f->clauses === [] ? '' : $this->quoted($f->clauses[0]);

        return match ($f->kind) {
            FindingKind::FloorAboveCeiling => $this->floorAboveCeiling($f),
            FindingKind::MatchesNothing => $f->isInScope
                ? "Nothing that $first asks for can be done on any area in its scope: no technique ".
                    'fits the material and relief there.'
                : "No area of any model can be in the scope of $first.",
            FindingKind::NobodyMay => "$first asks for ".
                $this->words->sentence($f->clauses[0]).
                ", and $tier allows no technique that gives it.",
            FindingKind::NobodySees => $this->nobodySees($f),
            FindingKind::AsksNothing => "$first asks for ".
                $this->words->sentence($f->clauses[0]).
                ', and light alone makes as much of a model in bare undercoat: '.
                Terms::number($f->shown ?? 0.0).
                ' L*.',
            FindingKind::AsksLess => "$tier asks for less than {$f->lower?->name} on ".
                $this->kind($f->where, $f->clauses[0]).
                ": $first asks for ".
                $this->words->sentence($f->clauses[0]).
                ", and nothing $tier asks there is as much.",
            FindingKind::SameAs => "$tier asks exactly what {$f->lower?->name} asks: a client would pay for a name.",
            FindingKind::LowersBar => $f->figure === null
                ? "$first can only be met by work of grade $f->grade or less, and the ".
                    "pace of $tier wants grade {$f->tier->pace->gradeBar()}: the bar is lowered wherever it holds."
                : "On the $figure, ".
                    PlanWords::area($f->area).
                    ", $first can only be met by rougher work than the pace of $tier wants.",
            FindingKind::CannotBeMet => "On the $figure, $tier cannot be met: ".$this->conflict($f).'.',
            FindingKind::OverMinutes => "The $figure takes ".
                Terms::minutes($f->minutes ?? 0.0).
                " at $tier, and $first is what it asks.",
            FindingKind::BelowCost => "A $figure at $tier costs {$f->price?->low} {$this->standard->currency} ".
                'of bench '.
                'time, and its range starts lower.',
        };
    }

    /** What to change. */
    public function change(Finding $f): string
    {
        $tier = $f->tier->name;
        $names = array_map(fn (Technique $t) => $t->name, array_slice($f->techniques, 1, 4));
        $technique = $f->techniques[0]->name ?? null;

        return match ($f->kind) {
            FindingKind::FloorAboveCeiling => 'Raise the ceiling, lower the floor, or let their scopes not overlap.',
            FindingKind::MatchesNothing => $f->isInScope
                ? 'Take it out; or change its scope, its extent or the techniques it names.'
                : 'Take it out; or widen its scope, or name the ground in it if the ground is meant.',
            FindingKind::NobodyMay => "Allow $technique at $tier".
                ($names === [] ? '' : ', or another of '.implode(', ', $names)).
                '.',
            FindingKind::NobodySees => $f->unseen === null
                ? "Leave it out at $tier: nobody can check it."
                : "Look from {$f->unseen->value} in the check, or leave it out.",
            FindingKind::AsksNothing => 'Ask for more than '.
                Terms::number($f->shown ?? 0.0).
                ' L*, or leave it out.',
            FindingKind::AsksLess => "Ask it at $tier too.",
            FindingKind::SameAs => "Retire $tier, or say what it does more.",
            FindingKind::LowersBar => match (true) {
                $f->figure !== null => 'Allow a cleaner technique that gives it, name one in its sentence, or '.
                    'leave this '.
                    'kind of area out of its scope.',
                $technique === null => 'Allow something cleaner that gives it, or leave it out.',
                default => "Allow $technique at $tier.",
            },
            FindingKind::CannotBeMet => 'Change one of these clauses, allow a technique that helps, or narrow a scope.',
            FindingKind::OverMinutes => "Allow $f->enough minutes, or ask for less.",
            FindingKind::BelowCost => "Start the range at {$f->price?->low}.",
        };
    }

    /** A kind of area in words, as far as the clause tells models apart. */
    public function kind(?AreaKind $kind, Clause $told): string
    {
        if ($kind === null || $kind->isWholeModel) {
            return 'the whole model';
        }
        $scope = $told->scope();
        $models = $scope->role === null && $scope->size === null ? '' : " of {$kind->sculpt->role->value} models";

        return "{$kind->area->rank->value} areas of ".Terms::surface($kind->area).$models;
    }

    private function quoted(Clause $clause): string
    {
        return '“'.$this->words->name($clause).'”';
    }

    private function floorAboveCeiling(Finding $f): string
    {
        $floor = $f->clauses[0];
        $ceiling = $f->clauses[1] ?? $floor;
        $what = $this->words->text($floor)->row;

        return $this->quoted($floor).
            ' asks for '.
            $this->words->sentence($floor).
            ' where '.
            $this->quoted($ceiling).
            ' asks for '.
            $this->words->sentence($ceiling).
            ": nothing can have so many and so few $what.";
    }

    private function nobodySees(Finding $f): string
    {
        $clause = $this->quoted($f->clauses[0]);

        return $f->unseen !== null
            ? "$clause asks for something in the view from {$f->unseen->value}, and no ".
                    "check at {$f->tier->name} looks from there."
            : sprintf(
                '%s leaves marks of at most %s mm, and from %s cm the sharpest eye sees no less than %.2f mm.',
                $clause,
                Terms::number($f->markMm ?? 0.0),
                Terms::number($f->tier->viewing->distanceCm),
                $f->visibleMm,
            );
    }

    private function conflict(Finding $f): string
    {
        return $f->conflict === null || $f->figure === null
            ? ''
            : (new PlanWords(new PlanRequest($this->standard, $f->tier, $f->figure)))->conflict($f->conflict);
    }
}
