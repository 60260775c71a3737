<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\EditStandard;
use App\Models\ClauseRow;
use App\Models\Sculpt;
use App\Models\StandardVersion;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Studio\Refusal;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Format\ClauseFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Ladder\Cell;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Ladder\Row;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\Tier;
use stdClass;

final class StandardController
{
    /** The open draft where there is one, else the published version, as a ladder. */
    public function show(Request $request): JsonResponse
    {
        $published = Standards::published();
        $version = Standards::draft() ?? $published ?? throw new Refusal('There is no standard yet: import a pack.', '', 404);

        return new JsonResponse($this->ladder($version, $published, $request));
    }

    public function versions(): JsonResponse
    {
        $versions = StandardVersion::query()->orderByDesc('number')->get(['id', 'number', 'status', 'note', 'sha256', 'published_at', 'revision']);

        return new JsonResponse(['data' => $versions->map(fn (StandardVersion $v) => [
            'number' => $v->number, 'status' => $v->status, 'note' => $v->note, 'sha256' => $v->sha256, 'published_at' => $v->published_at?->toIso8601ZuluString(),
        ])->all()]);
    }

    public function version(Request $request, int $number): JsonResponse
    {
        $version = StandardVersion::query()->where('number', $number)->firstOrFail();

        return new JsonResponse($this->ladder($version, Standards::published(), $request));
    }

    public function open(Request $request, EditStandard $edit): JsonResponse
    {
        return new JsonResponse($this->ladder($edit->open(), Standards::published(), $request), 201);
    }

    public function write(Request $request, EditStandard $edit): JsonResponse
    {
        $given = $request->validate(['tier' => ['required', 'string', 'max:64'], 'revision' => ['required', 'integer', 'min:0'], 'clause' => ['required', 'array']]);
        $row = $edit->write($given['tier'], $this->clause($request), (int) $given['revision']);

        return new JsonResponse(['tier' => $row->tier, 'clause' => Json::decode($row->body), 'revision' => $row->revision, 'draft_revision' => $row->version()->value('revision')]);
    }

    public function remove(Request $request, EditStandard $edit): JsonResponse
    {
        $given = $request->validate(['tier' => ['required', 'string'], 'clause' => ['required', 'string'], 'revision' => ['required', 'integer']]);
        $edit->remove($given['tier'], $given['clause'], (int) $given['revision']);

        return new JsonResponse(null, 204);
    }

    /** What an edit that is not kept yet does to a figure: minutes before and after, and what is asked for more or less. */
    public function attempt(Request $request): JsonResponse
    {
        $given = $request->validate(['tier' => ['required', 'string'], 'sculpt' => ['required', 'string'], 'clause' => ['nullable', 'array']]);
        $version = Standards::draft() ?? Standards::current();
        $before = Standards::core($version);
        $document = Standards::document($version);
        if (isset($given['clause'])) {
            $this->put($document, $given['tier'], $this->clause($request));
        }
        $after = StandardFormat::read($document);
        if (! $after->hasTier($given['tier'])) {
            throw new Refusal("There is no tier \"{$given['tier']}\".", '/tier');
        }
        $sculpt = UnitPlans::sculpt(Sculpt::query()->where('slug', $given['sculpt'])->firstOrFail());
        $plan = fn (Standard $standard) => Planner::plan(new PlanRequest($standard, $standard->tier($given['tier']), $sculpt));
        $difference = new TierDifference($plan($before), $plan($after));
        [$price] = $difference->prices();
        $ceiling = array_values(array_filter($difference->to->requirements, fn ($s) => $s->requirement->subject() === 'minutes'));

        return new JsonResponse([
            'sculpt' => $sculpt->name,
            'tier' => $after->tier($given['tier'])->name,
            'before' => round($difference->from->minutesByPasses(), 2),
            'after' => round($difference->to->minutesByPasses(), 2),
            'ceiling' => $ceiling === [] ? null : $ceiling[0]->requirement->max,
            'price' => $price === null ? null : ['low' => $price->low, 'high' => $price->high, 'currency' => $after->currency],
            'changes' => array_map(fn ($c) => ['change' => $c->change, 'area' => ($c->after ?? $c->before)?->area, 'subject' => ($c->after ?? $c->before)?->subject()], $difference->changes),
            'areas' => array_map(fn (string $key, array $m) => ['area' => $key, 'before' => is_nan($m[0]) ? null : round($m[0], 2), 'after' => is_nan($m[1]) ? null : round($m[1], 2)],
                array_keys($difference->areaMinutes()), array_values($difference->areaMinutes())),
            'conflicts' => array_map(fn ($c) => ['area' => $c->area, 'clauses' => $c->clauses, 'reason' => $c->reason], $difference->to->conflicts()),
            'lint' => array_map(self::finding(...), (new Lint($after))->findings()),
            'open_units' => Unit::query()->where('tier', $given['tier'])->whereHas('order', fn ($q) => $q->whereNotIn('status', ['delivered', 'closed', 'cancelled']))->count(),
        ]);
    }

    public function publish(Request $request, EditStandard $edit): JsonResponse
    {
        $given = $request->validate(['revision' => ['required', 'integer'], 'note' => ['required', 'string', 'max:2000']]);
        $version = $edit->publish((int) $given['revision'], $given['note']);

        return new JsonResponse($this->ladder($version, $version, $request), 201);
    }

    /** The clause as it stood in the request, with objects kept as objects. */
    private function clause(Request $request): stdClass
    {
        $body = Json::decode($request->getContent());
        $clause = $body instanceof stdClass ? $body->clause ?? null : null;

        return $clause instanceof stdClass ? $clause : throw new Refusal('The clause must be an object.', '/clause');
    }

    private function put(stdClass $document, string $tierKey, stdClass $clause): void
    {
        foreach ($document->tiers as $tier) {
            if ($tier->key !== $tierKey) {
                continue;
            }
            foreach ($tier->clauses as $i => $there) {
                if ($there->id === ($clause->id ?? null)) {
                    $tier->clauses[$i] = $clause;

                    return;
                }
            }
            $tier->clauses[] = $clause;
        }
    }

    /** @return array<string, mixed> */
    private function ladder(StandardVersion $version, ?StandardVersion $published, Request $request): array
    {
        $standard = Standards::core($version);
        $grid = new Grid($standard);
        $revisions = $version->clauses()->get(['tier', 'clause', 'revision'])->keyBy(fn (ClauseRow $r) => "$r->tier $r->clause");
        $user = $request->user();

        return [
            'name' => $standard->name,
            'version' => ['number' => $version->number, 'status' => $version->status, 'revision' => $version->revision, 'note' => $version->note, 'sha256' => $version->sha256, 'published_at' => $version->published_at?->toIso8601ZuluString()],
            'published' => $published === null ? null : ['number' => $published->number, 'published_at' => $published->published_at?->toIso8601ZuluString()],
            'currency' => $standard->currency,
            'tiers' => array_map(fn (Tier $t) => [
                'key' => $t->key, 'name' => $t->name, 'order' => $t->order, 'status' => $t->status->value, 'intent' => $t->intent, 'pace' => $t->pace->value,
                'distance_cm' => $t->viewing->distanceCm, 'extends' => $t->extends,
            ], $grid->tiers()),
            'rows' => array_map(fn (Row $row) => [
                'suffix' => $row->suffix, 'group' => $row->group, 'label' => $row->label,
                'cells' => array_map(fn (Cell $cell) => self::cell($cell, $revisions->get("$cell->tier {$cell->clause?->id}")->revision ?? 0), $row->cells),
            ], $grid->rows()),
            'techniques' => array_map(fn (Technique $t) => ['key' => $t->key, 'name' => $t->name, 'family' => $t->family->value, 'whole' => $t->whole, 'effects' => array_keys($t->effects)], $standard->techniques),
            'lint' => array_map(self::finding(...), (new Lint($standard))->findings()),
            'sculpts' => Sculpt::query()->orderBy('id')->get(['slug', 'name', 'role'])->map(fn (Sculpt $s) => ['slug' => $s->slug, 'name' => $s->name, 'role' => $s->role])->all(),
            'editable' => $user instanceof User && Rights::has($user, 'standard.edit'),
        ];
    }

    /** @return array<string, mixed> */
    private static function cell(Cell $cell, int $revision): array
    {
        $clause = $cell->clause;

        return [
            'tier' => $cell->tier, 'own' => $cell->own, 'as_before' => $cell->asBefore, 'words' => $cell->words, 'revision' => $cell->own ? $revision : 0,
            'clause' => $clause === null ? null : ClauseFormat::write($clause),
            'extent' => $clause instanceof EffectClause || ($clause instanceof TechniqueClause && $clause->status->value === 'required') ? $clause->extent()->word() : null,
            'passes' => $clause instanceof EffectClause || $clause instanceof TechniqueClause ? $clause->passes() : null,
            'status' => $clause instanceof TechniqueClause ? $clause->status->value : ($clause === null ? null : 'required'),
        ];
    }

    /** @return array<string, mixed> */
    private static function finding(Finding $f): array
    {
        return ['kind' => $f->kind, 'tier' => $f->tier, 'clauses' => $f->clauses, 'why' => $f->why, 'change' => $f->change];
    }
}
