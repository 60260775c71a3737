<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\AmendmentRow;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Queries\FigureShown;
use App\Repositories\Releases;
use Ordotype\Core\Choice\Candidate;
use Ordotype\Core\Choice\RequirementState;
use Ordotype\Core\Choice\Standing;
use Ordotype\Core\Demand\DemandResolver;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Method\MethodOnModel;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Sequencing\Rule;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Unit\PieceKind;
use Ordotype\Core\Unit\UnitPlan;
use Ordotype\Core\Words\ClauseWords;
use Ordotype\Core\Words\Terms;
use stdClass;

/** Everything the Plan screen shows of a unit, or of one model of it. */
final class PlanView
{
    /** @return array<string, mixed> */
    public static function of(Unit $unit, ?User $user, ?Piece $piece = null): array
    {
        $unit->load(['order.version', 'order.scheme', 'sculpt', 'pieces']);
        $released = $unit->released_at !== null;
        $whole = UnitPlans::inForce($unit);
        $kind = $piece === null ? null : $whole->kindOf($piece->number);
        $plan = $kind === null ? $whole->plain() : $kind->plan;
        $core = $plan->request;
        $rows = UnitPlans::rows($unit);
        $names = User::query()->whereIn('id', $rows->pluck('made_by'))->pluck('name', 'id');
        $kept = $unit->arrangement ?? [];

        return [
            'unit' => [
                'id' => $unit->id,
                'order' => $unit->order_id,
                'order_number' => $unit->order->number,
                'label' => $unit->label,
                'sculpt' => $core->sculpt->name,
                'tier' => [
                    'key' => $core->tier->key,
                    'name' => $core->tier->name,
                    'order' => $core->tier->order,
                    'status' => $core->tier->status->value,
                ],
                'standard_version' => $unit->order->version->number,
                'count' => UnitPlans::pieces($unit)->count(),
                'released' => $unit->released_at !== null,
                'revision' => $unit->revision,
                'edits' => (object) ($piece === null ? $unit->edits ?? [] : $piece->edits ?? []),
                'frame_mm' => $core->sculpt->frameMm ?? [60, 80],
            ],
            'method' => $unit->order->method === null ? new stdClass() : Json::decode($unit->order->method),
            'amendments' => $rows
                ->map(
                    fn (AmendmentRow $r, int $i) => [
                        'id' => $r->id,
                        'no' => $i + 1,
                        'of' => $r->level(),
                        'piece' => $r->piece?->number,
                        'amendment' => Json::decode($r->body),
                        'by' => $names[$r->made_by] ?? null,
                        'at' => $r->created_at?->toIso8601ZuluString(),
                    ],
                )
                ->values()
                ->all(),
            'figure' => FigureShown::of($core->sculpt, $core->scheme, $core->shelf),
            'plan' => $released ? app(Releases::class)->planDocument($unit, $piece) : PlanFormat::write($plan),
            'techniques' => self::techniques($plan),
            'clauses' => (object) self::clauses($plan),
            'rules' => (object) array_combine(
                array_map(fn (Rule $r) => $r->value, Rule::cases()),
                array_map(Terms::rule(...), Rule::cases()),
            ),
            'editable' => $unit->released_at === null && $user instanceof User && Rights::has($user, 'plan.edit'),
            'piece' => $piece?->number,
            'whole' => [
                'minutes' => round($whole->minutes(), 2),
                'setup' => round($whole->setupMinutes(), 2),
                'waiting' => round($whole->work->idleMinutes, 2),
            ],
            'kinds' => array_map(fn (PieceKind $k) => self::kind($k, $whole), $whole->kinds),
            'pieces' => UnitPlans::pieces($unit)
                ->map(
                    fn (Piece $p) => [
                        'id' => $p->id,
                        'number' => $p->number,
                        'code' => $p->code,
                        'stage' => $p->stage,
                        'lacks' => $p->lacks ?? [],
                        'edited' => ($p->edits ?? []) !== [],
                    ],
                )
                ->all(),
            'areas' => array_map(
                fn ($a) => ['key' => $a->key, 'name' => $a->name, 'optional' => $a->optional === true],
                UnitPlans::sculpt($unit->sculpt)->areas,
            ),
            'variants' => UnitArrangement::variantDocuments($unit),
            'arranged' => [
                'sequence' => ($kept['sequence'] ?? []) !== [],
                'paints' => (object) ($kept['paints'] ?? []),
                'notes' => (object) ($kept['notes'] ?? []),
                'practice' => $kept['practice'] ?? null,
            ],
            'aims' => self::aims($plan, $released),
            'overrules' => array_values($unit->order->overrules ?? []),
            'scheme' => $unit->order->scheme === null
                    ? null
                    : [
                        'slug' => $unit->order->scheme->slug,
                        'name' => $unit->order->scheme->name,
                        'number' => $unit->scheme_number ?? $unit->order->scheme->number,
                    ],
            'reference' => $unit->order->reference,
            'paints' => array_map(fn ($p) => ['name' => $p->name, 'hex' => $p->colour->hex()], $core->shelf->paints),
            'alike' => Unit::query()
                ->with('order:id,number')
                ->where('sculpt_id', $unit->sculpt_id)
                ->where('id', '<>', $unit->id)
                ->orderByDesc('id')
                ->limit(20)
                ->get()
                ->map(
                    fn (Unit $u) => [
                        'id' => $u->id,
                        'order_number' => $u->order->number,
                        'label' => $u->label,
                        'tier' => $u->tier,
                        'released' => $u->released_at !== null,
                        'revision' => $u->revision,
                    ],
                )
                ->all(),
        ];
    }

    /**
     * @return array{chosen: string, quickest: float, best: float} minutes of either aim; on the bench there is no
     * choice any more
     */
    private static function aims(Plan $plan, bool $released): array
    {
        $minutes = fn (Aim $aim): float => $released
            ? $plan->minutesByPasses()
            : app(Planner::class)->withAim($plan->request, $aim)->minutesByPasses();

        return [
            'chosen' => $plan->request->tier->aim->value,
            'quickest' => round($minutes(Aim::Quickest), 2),
            'best' => round($minutes(Aim::Best), 2),
        ];
    }

    /** @return array<string, mixed> */
    private static function kind(PieceKind $kind, UnitPlan $whole): array
    {
        return [
            'pieces' => $kind->pieces,
            'plain' => $kind->isPlain(),
            'variant' => $kind->variant?->name,
            'lacks' => $kind->lacks,
            'amendments' => array_values(
                array_filter($kind->amendments, fn (int $n) => $n < UnitArrangement::VARIANT_AMENDMENTS),
            ),
            'edited' => $kind->edited,
            'minutes' => round($kind->plan->minutesByPasses(), 2),
            'adds' => round($kind->plan->minutesByPasses() - $whole->plain()->minutesByPasses(), 2),
            'conflicts' => count($kind->plan->conflicts()),
            'short' => count(
                array_filter(
                    $kind->plan->requirements,
                    fn (RequirementState $s) => in_array($s->state, [Standing::Short, Standing::Conflict], true),
                ),
            ),
        ];
    }

    /**
     * Every technique that could be used on some area, with its minutes there, so that an alternative can be picked.
     *
     * @return list<array<string, mixed>>
     */
    private static function techniques(Plan $plan): array
    {
        $r = $plan->request;
        $method = new MethodOnModel($r->method, $r->sculpt, $r->scheme, $r->shelf);
        $techniques = [];
        foreach ($r->standard->techniques as $index => $technique) {
            $areas = [];
            foreach ($plan->areas as $planned) {
                $area = $planned->demand->area;
                if ($area !== null && DemandResolver::fits($technique, $area)) {
                    $minutes = Candidate::onArea($technique, $index, $area, $r->sculpt, $r->tier->pace, $method)
                        ->minutes;
                    $areas[$area->key] = [
                        'allowed' => isset($planned->demand->allowed[$technique->key]),
                        'minutes' => round($minutes[Extent::Full->value], 2),
                    ];
                }
            }
            $techniques[] = [
                'key' => $technique->key,
                'name' => $technique->name,
                'family' => $technique->family->value,
                'max_passes' => $technique->maxPasses,
                'purpose' => $technique->notes->purpose,
                'how' => $technique->notes->how,
                'consistency' => $technique->notes->consistency,
                'tools' => $technique->notes->tools,
                'good' => $technique->notes->good,
                'caution' => $technique->notes->caution,
                'areas' => (object) $areas,
            ];
        }

        return $techniques;
    }

    /** @return array<string, string> what each clause that is a reason says, by its id */
    private static function clauses(Plan $plan): array
    {
        $words = [];
        $said = new ClauseWords($plan->request->standard, $plan->request->sculpt);
        foreach ($plan->request->standard->clausesOf($plan->request->tier) as $clause) {
            $words[$clause->id] = $said->name($clause);
        }

        return $words;
    }
}
