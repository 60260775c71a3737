<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PlanUnit;
use App\Models\AmendmentRow;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Planning\Candidate;
use Ordotype\Core\Planning\DemandResolver;
use Ordotype\Core\Planning\MethodOnModel;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sequencing\Rule;
use Ordotype\Core\Standard\Extent;
use stdClass;

final class PlanController
{
    public function show(Request $request, Unit $unit): JsonResponse
    {
        $unit->load(['order.version', 'order.scheme', 'sculpt', 'pieces']);

        return new JsonResponse($this->plan($unit, $request));
    }

    public function edit(Request $request, Unit $unit, PlanUnit $plan): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'], 'edits' => ['present', 'array'], 'edits.*' => ['array'], 'edits.*.*.technique' => ['required', 'string'],
            'edits.*.*.passes' => ['required', 'integer', 'min:1', 'max:20'], 'edits.*.*.extent' => ['required', 'in:spot,prominent,full'],
        ]);

        return new JsonResponse($this->plan($plan->edit($unit, $given['edits'], (int) $given['revision'])->load(['order.version', 'order.scheme', 'sculpt', 'pieces']), $request));
    }

    public function release(Request $request, Unit $unit, PlanUnit $plan): JsonResponse
    {
        $given = $request->validate(['revision' => ['required', 'integer']]);

        return new JsonResponse($this->plan($plan->release($unit, (int) $given['revision'])->load(['order.version', 'order.scheme', 'sculpt', 'pieces']), $request));
    }

    /**
     * The areas of a figure with their outlines and the colour each is shown in.
     *
     * @return list<array<string, mixed>>
     */
    public static function figure(Sculpt $sculpt, ?Scheme $scheme, Shelf $shelf): array
    {
        return array_map(function (Area $area, int $i) use ($scheme, $shelf): array {
            $base = $scheme?->for($area)?->base;

            return ['key' => $area->key, 'no' => $i + 1, 'name' => $area->name, 'material' => $area->material->value, 'relief' => array_map(fn ($r) => $r->value, $area->relief), 'rank' => $area->rank->value,
                'focus' => $area->focus, 'layer' => $area->layer, 'outline' => (object) $area->outline, 'paint' => $base, 'colour' => $base === null ? null : $shelf->colourOf($base)?->hex()];
        }, $sculpt->areas, array_keys($sculpt->areas));
    }

    /** @return array<string, mixed> */
    private function plan(Unit $unit, Request $request): array
    {
        $plan = UnitPlans::plan($unit);
        $core = $plan->request;
        $user = $request->user();
        $names = User::query()->whereIn('id', UnitPlans::rows($unit)->pluck('made_by'))->pluck('name', 'id');

        return [
            'unit' => ['id' => $unit->id, 'order' => $unit->order_id, 'order_number' => $unit->order->number, 'sculpt' => $core->sculpt->name, 'tier' => ['key' => $core->tier->key, 'name' => $core->tier->name, 'order' => $core->tier->order, 'status' => $core->tier->status->value],
                'standard_version' => $unit->order->version->number, 'count' => $unit->pieces->whereNotIn('stage', ['lost', 'cancelled'])->count(), 'released' => $unit->released_at !== null, 'revision' => $unit->revision,
                'edits' => (object) ($unit->edits ?? []), 'frame_mm' => $core->sculpt->frameMm ?? [60, 80]],
            'method' => $unit->order->method === null ? new stdClass : Json::decode($unit->order->method),
            'amendments' => UnitPlans::rows($unit)->map(fn (AmendmentRow $r, int $i) => ['id' => $r->id, 'no' => $i + 1, 'of' => $r->order_id === null ? 'unit' : 'order', 'amendment' => Json::decode($r->body), 'by' => $names[$r->made_by] ?? null, 'at' => $r->created_at?->toIso8601ZuluString()])->values()->all(),
            'figure' => self::figure($core->sculpt, $core->scheme, $core->shelf),
            'plan' => PlanFormat::write($plan),
            'techniques' => $this->techniques($plan),
            'clauses' => (object) $this->clauses($plan),
            'rules' => (object) array_combine(array_map(fn (Rule $r) => $r->value, Rule::cases()), array_map(fn (Rule $r) => $r->words(), Rule::cases())),
            'editable' => $unit->released_at === null && $user instanceof User && Rights::has($user, 'plan.edit'),
        ];
    }

    /**
     * Every technique that could be used on some area, with its minutes there, so that an alternative can be picked.
     *
     * @return list<array<string, mixed>>
     */
    private function techniques(Plan $plan): array
    {
        $r = $plan->request;
        $method = new MethodOnModel($r->method, $r->sculpt, $r->scheme, $r->shelf);
        $techniques = [];
        foreach ($r->standard->techniques as $index => $technique) {
            $areas = [];
            foreach ($plan->areas as $planned) {
                $area = $planned->demand->area;
                if ($area !== null && DemandResolver::fits($technique, $area)) {
                    $minutes = Candidate::onArea($technique, $index, $area, $r->sculpt, $r->tier->pace, $method)->minutes;
                    $areas[$area->key] = ['allowed' => isset($planned->demand->allowed[$technique->key]), 'minutes' => round($minutes[Extent::Full->value], 2)];
                }
            }
            $techniques[] = ['key' => $technique->key, 'name' => $technique->name, 'family' => $technique->family->value, 'max_passes' => $technique->maxPasses, 'purpose' => $technique->notes->purpose,
                'how' => $technique->notes->how, 'consistency' => $technique->notes->consistency, 'tools' => $technique->notes->tools, 'good' => $technique->notes->good, 'caution' => $technique->notes->caution, 'areas' => (object) $areas];
        }

        return $techniques;
    }

    /** @return array<string, string> what each clause that is a reason says, by its id */
    private function clauses(Plan $plan): array
    {
        $words = [];
        foreach ($plan->request->standard->clausesOf($plan->request->tier) as $clause) {
            $words[$clause->id] = $clause->label ?? $clause->id;
        }

        return $words;
    }
}
