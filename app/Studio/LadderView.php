<?php

declare(strict_types=1);

namespace App\Studio;

use Ordotype\Core\Format\ClauseFormat;
use Ordotype\Core\Ladder\Cell;
use Ordotype\Core\Ladder\Edit;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Ladder\Row;
use Ordotype\Core\Ladder\StandardChange;
use Ordotype\Core\Ladder\Words;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\Tier;
use App\Models\ClauseRow;
use App\Models\Sculpt;
use App\Models\StandardVersion;
use App\Models\User;
use App\Policies\Rights;
use Illuminate\Support\Collection;

/** A version of the standard as the Standard screen shows it. */
final class LadderView
{
    /** @return array<string, mixed> */
    public static function of(StandardVersion $version, ?User $user): array
    {
        $standard = Standards::core($version);
        $grid = new Grid($standard);
        $revisions = $version
            ->clauses()
            ->get(['tier', 'clause', 'revision'])
            ->keyBy(fn (ClauseRow $r) => "$r->tier $r->clause");
        $published = Standards::published();

        return [
            'name' => $standard->name,
            'version' => [
                'number' => $version->number,
                'status' => $version->status,
                'revision' => $version->revision,
                'note' => $version->note,
                'sha256' => $version->sha256,
                'published_at' => $version->published_at?->toIso8601ZuluString(),
            ],
            'published' => $published === null
                    ? null
                    : [
                        'number' => $published->number,
                        'published_at' => $published->published_at?->toIso8601ZuluString(),
                    ],
            'currency' => $standard->currency,
            'tiers' => array_map(
                fn (Tier $t) => [
                    'key' => $t->key,
                    'name' => $t->name,
                    'order' => $t->order,
                    'status' => $t->status->value,
                    'intent' => $t->intent,
                    'pace' => $t->pace->value,
                    'distance_cm' => $t->viewing->distanceCm,
                    'extends' => $t->extends,
                    'drop' => $t->drop ?? [],
                    'head' => Lint::head($t),
                ],
                $grid->tiers(),
            ),
            'rows' => array_map(
                fn (Row $row) => [
                    'suffix' => $row->suffix,
                    'group' => $row->group,
                    'label' => $row->label,
                    'cells' => array_map(fn (Cell $cell) => self::cell($cell, $standard, $revisions), $row->cells),
                ],
                $grid->rows(),
            ),
            'techniques' => array_map(
                fn (Technique $t) => [
                    'key' => $t->key,
                    'name' => $t->name,
                    'family' => $t->family->value,
                    'whole' => $t->whole,
                    'retired' => $t->retired === true,
                    'effects' => array_keys($t->effects),
                ],
                $standard->techniques,
            ),
            'sculpts' => Sculpt::query()
                ->orderBy('id')
                ->get(['slug', 'name', 'role'])
                ->map(fn (Sculpt $s) => ['slug' => $s->slug, 'name' => $s->name, 'role' => $s->role])
                ->all(),
            'editable' => $user !== null && Rights::has($user, 'standard.edit'),
        ];
    }

    /**
     * @param  Collection<string, ClauseRow>  $revisions
     * @return array<string, mixed>
     */
    private static function cell(Cell $cell, Standard $standard, Collection $revisions): array
    {
        $clause = $cell->clause;
        $tier = $standard->tier($cell->tier);

        return [
            'tier' => $cell->tier,
            'own' => $cell->own,
            'as_before' => $cell->asBefore,
            'words' => $cell->words,
            'revision' => $cell->own ? $revisions->get("$cell->tier {$clause?->id}")->revision ?? 0 : 0,
            'clause' => $clause === null ? null : ClauseFormat::write($clause),
            'says' => $clause === null ? null : Words::clause($clause, $standard),
            'extent' => $clause instanceof EffectClause ||
                ($clause instanceof TechniqueClause && $clause->status->value === 'required')
                    ? $clause->extent()->word()
                    : null,
            'passes' => $clause instanceof EffectClause || $clause instanceof TechniqueClause ? $clause->passes() : null,
            'status' => $clause instanceof TechniqueClause ? $clause->status->value : ($clause === null ? null : 'required'),
            'dropped' => $clause === null && $tier->drop !== null && in_array($cell->suffix, $tier->drop, true),
        ];
    }

    /** @return array<string, mixed> */
    public static function finding(Finding $f): array
    {
        return [
            'kind' => $f->kind,
            'tier' => $f->tier,
            'clauses' => $f->clauses,
            'why' => $f->why,
            'change' => $f->change,
            'changes' => array_map(self::edit(...), $f->edits),
        ];
    }

    /** @return array<string, mixed> */
    public static function edit(Edit $edit): array
    {
        return ['what' => $edit->what, 'tier' => $edit->tier, 'before' => $edit->before, 'after' => $edit->after];
    }

    /** @return array<string, mixed> */
    public static function change(StandardChange $c): array
    {
        return [
            'kind' => $c->kind,
            'what' => $c->what,
            'tiers' => $c->tiers,
            'label' => $c->label,
            'before' => $c->before,
            'after' => $c->after,
        ];
    }
}
