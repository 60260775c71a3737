<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Models\ClauseRow;
use App\Models\Sculpt;
use App\Models\StandardVersion;
use App\Models\User;
use App\Policies\Rights;
use App\Repositories\Standards;
use Illuminate\Support\Collection;
use Ordotype\Core\Format\ChangeFormat;
use Ordotype\Core\Format\ClauseFormat;
use Ordotype\Core\Format\DocumentEdit;
use Ordotype\Core\Ladder\Cell;
use Ordotype\Core\Ladder\Change;
use Ordotype\Core\Ladder\ClauseView;
use Ordotype\Core\Ladder\ClauseViews;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Ladder\Row;
use Ordotype\Core\Ladder\StandardChange;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Words\ChangeWords;
use Ordotype\Core\Words\ClauseWords;
use Ordotype\Core\Words\LadderWords;
use Ordotype\Core\Words\RowNames;

/** A version of the standard as the Standard screen shows it. */
final class LadderShown
{
    public function __construct(private readonly Standards $standards)
    {
    }

    /** @return array<string, mixed> */
    public function of(StandardVersion $version, ?User $user): array
    {
        $standard = $this->standards->core($version);
        $grid = new Grid($standard);
        $published = $this->standards->published();

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
            'tiers' => array_map(self::tier(...), $grid->tiers()),
            'rows' => $this->rows($grid, $standard, $version),
            'techniques' => array_map(self::technique(...), $standard->techniques),
            'sculpts' => Sculpt::query()
                ->orderBy('id')
                ->get(['slug', 'name', 'role'])
                ->map(fn (Sculpt $s) => ['slug' => $s->slug, 'name' => $s->name, 'role' => $s->role])
                ->all(),
            'editable' => $user !== null && Rights::has($user, 'standard.edit'),
        ];
    }

    /** @return array<string, mixed> */
    private static function tier(Tier $tier): array
    {
        return [
            'key' => $tier->key,
            'name' => $tier->name,
            'order' => $tier->order,
            'status' => $tier->status->value,
            'intent' => $tier->intent,
            'pace' => $tier->pace->value,
            'distance_cm' => $tier->viewing->distanceCm,
            'extends' => $tier->extends,
            'drop' => $tier->drop ?? [],
            'head' => ChangeFormat::head($tier),
        ];
    }

    /** @return array<string, mixed> */
    private static function technique(Technique $technique): array
    {
        return [
            'key' => $technique->key,
            'name' => $technique->name,
            'family' => $technique->family->value,
            'whole' => $technique->whole,
            'retired' => $technique->retired === true,
            'effects' => array_keys($technique->effects),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function rows(Grid $grid, Standard $standard, StandardVersion $version): array
    {
        $words = new LadderWords($standard);
        $clauses = new ClauseWords($standard);
        $views = new ClauseViews($standard);
        $revisions = $version
            ->clauses()
            ->get(['tier', 'clause', 'revision'])
            ->keyBy(fn (ClauseRow $r) => "$r->tier $r->clause");

        $rows = $grid->rows();

        return array_map(
            fn (Row $row, string $label) => [
                'suffix' => $row->suffix,
                'group' => $row->group->value,
                'label' => $label,
                'family' => $row->family?->value,
                'folded' => $this->folded($row, $rows, $grid->tiers(), $words),
                'cells' => array_map(
                    fn (Cell $cell, string $in) => $this->cell($cell, $in, $standard, $clauses, $views, $revisions),
                    $row->cells,
                    $words->cells($row),
                ),
            ],
            $rows,
            (new RowNames($standard))->all($rows),
        );
    }

    /**
     * What the row of a whole family says for all rows of that family that it can fold away.
     *
     * @param  list<Row>  $rows
     * @param  list<Tier>  $tiers
     * @return list<array{words: string, as_before: bool}>|null  for each tier; null: nothing folds into it
     */
    private function folded(Row $whole, array $rows, array $tiers, LadderWords $words): ?array
    {
        $of = array_values(array_filter($rows, fn (Row $r) => $r->family !== null && $r->family === $whole->family));
        if (! $whole->ofWholeFamily || count($of) < 2 || $of[0] !== $whole) {
            return null;
        }
        $folded = [];
        $below = '';
        foreach ($words->family($whole, array_slice($of, 1)) as $i => $said) {
            $folded[] = ['words' => $said, 'as_before' => $said !== '' && $said === $below];
            // A retired rung is folded away itself, so nothing is compared with it.
            $below = $tiers[$i]->status === TierStatus::Retired ? $below : $said;
        }

        return $folded;
    }

    /**
     * @param  Collection<string, ClauseRow>  $revisions
     * @return array<string, mixed>
     */
    private function cell(
        Cell $cell,
        string $words,
        Standard $standard,
        ClauseWords $clauses,
        ClauseViews $views,
        Collection $revisions,
    ): array {
        $clause = $cell->clause;
        $tier = $standard->tier($cell->tier);

        return [
            'tier' => $cell->tier,
            'own' => $cell->own,
            'as_before' => $cell->asBefore,
            'words' => $words,
            'revision' => $cell->own ? $revisions->get("$cell->tier {$clause?->id}")->revision ?? 0 : 0,
            'clause' => $clause === null ? null : ClauseFormat::write($clause),
            'says' => $clause === null ? null : $clauses->sentence($clause),
            ...self::marks($clause === null ? null : $views->of($clause)),
            'dropped' => $clause === null && $tier->drop !== null && in_array($cell->suffix, $tier->drop, true),
        ];
    }

    /** @return array<string, mixed> what a cell shows beside its words */
    private static function marks(?ClauseView $view): array
    {
        $technique = $view?->technique;
        $extent = $view?->effect?->extent() ?? ($technique?->isRequired() === true ? $technique->extent() : null);

        return [
            'extent' => $extent?->word(),
            'passes' => $view?->effect?->passes() ?? $technique?->passes(),
            'status' => $view === null ? null : ($technique->status ?? TechniqueStatus::Required)->value,
        ];
    }

    /** @return array<string, mixed> */
    public function finding(Finding $f, Standard $standard): array
    {
        $words = new LadderWords($standard);

        return [
            'kind' => $f->kind->value,
            'tier' => $f->tier->key,
            'clauses' => array_map(fn (Clause $c) => $c->id, $f->clauses),
            'why' => $words->why($f),
            'change' => $words->change($f),
            'changes' => array_map(fn (Change $c) => $this->edit(ChangeFormat::write($c)), $f->edits),
        ];
    }

    /** @return array<string, mixed> */
    public function edit(DocumentEdit $edit): array
    {
        return ['what' => $edit->what, 'tier' => $edit->tier, 'before' => $edit->before, 'after' => $edit->after];
    }

    /** @return array<string, mixed> */
    public function change(StandardChange $c, ChangeWords $words): array
    {
        return [
            'kind' => $c->kind->value,
            'what' => ChangeWords::what($c),
            'tiers' => array_map(fn (Tier $t) => $t->name, $c->tiers),
            'label' => $words->label($c),
            'before' => $words->before($c),
            'after' => $words->after($c),
        ];
    }
}
