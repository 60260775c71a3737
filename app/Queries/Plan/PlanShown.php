<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Models\AmendmentRow;
use App\Models\OverruleRow;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Queries\Figures\FigureShown;
use App\Repositories\Amendments;
use App\Repositories\Arrangements;
use App\Repositories\Figures;
use App\Repositories\Releases;
use App\Studio\UnitPlans;
use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Unit\PieceKind;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Words\ClauseWords;
use Ordotype\Core\Words\OrderWords;
use Ordotype\Core\Words\Terms;
use stdClass;

/** Everything the Plan screen shows of a unit, or of one model of it. */
final class PlanShown
{
    private const MOST_ALIKE = 20;

    public function __construct(
        private readonly UnitPlans $plans,
        private readonly Amendments $amendments,
        private readonly Figures $figures,
        private readonly Arrangements $arrangements,
        private readonly Releases $releases,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Unit $unit, ?User $user, ?Piece $piece = null): array
    {
        $unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces']);
        $whole = $this->plans->inForce($unit);
        $plan = $piece === null ? $whole->plain() : $whole->kindOf($piece->number)->plan;
        $released = $unit->released_at !== null;

        return [
            'unit' => self::unit($unit, $plan, $piece),
            'method' => $unit->order->method === null ? new stdClass() : Json::decode($unit->order->method),
            'amendments' => $this->amended($unit),
            'figure' => FigureShown::of($plan->request->sculpt, $plan->request->scheme, $plan->request->shelf),
            'plan' => $released ? $this->releases->planDocument($unit, $piece) : PlanFormat::write($plan),
            'techniques' => self::techniques($plan),
            'clauses' => (object) self::clauses($plan),
            'rules' => (object) array_combine(
                array_map(fn (Rule $r) => $r->value, Rule::cases()),
                array_map(Terms::rule(...), Rule::cases()),
            ),
            ...self::follows($plan),
            'said' => OrderWords::passes(
                $plan->work,
                WorkOrder::of($plan->request)->rules($plan->work->steps),
                $plan->request->sculpt,
            ),
            'editable' => ! $released && $user instanceof User && Rights::has($user, 'plan.edit'),
            'piece' => $piece?->number,
            'whole' => [
                'minutes' => round($whole->minutes(), 2),
                'setup' => round($whole->setupMinutes(), 2),
                'waiting' => round($whole->work->idleMinutes, 2),
            ],
            'kinds' => array_map(fn (PieceKind $k) => self::kind($k, $whole), $whole->kinds),
            'pieces' => self::pieces($unit),
            'areas' => array_map(
                fn (Area $a) => ['key' => $a->key, 'name' => $a->name, 'optional' => $a->optional === true],
                $this->figures->of($unit->sculpt)->areas,
            ),
            'variants' => $this->arrangements->variantDocuments($unit),
            'arranged' => self::arranged($unit),
            'aim' => $plan->request->tier->aim->value,
            'overrules' => $unit->order->overrules->map(fn (OverruleRow $o) => ['id' => $o->id] + $o->facts())->all(),
            'order_revision' => $unit->order->revision,
            'scheme' => self::scheme($unit),
            'reference' => $unit->order->reference,
            'paints' => array_map(
                fn (Paint $p) => ['name' => $p->name, 'hex' => $p->colour->hex()],
                $plan->request->shelf->paints,
            ),
            'alike' => self::alike($unit),
        ];
    }

    /**
     * @return array{follows: list<list<array{no: int, rule: string, why: int}>>, reasons: list<string>} for each step:
     * the number of what it follows, and which of the reasons holds it
     */
    private static function follows(Plan $plan): array
    {
        $steps = $plan->work->steps;
        $reasons = [];
        $follows = [];
        foreach (WorkOrder::of($plan->request)->follows($plan->work) as $step => $before) {
            $follows[] = array_map(function (array $one) use ($steps, $step, &$reasons): array {
                $words = OrderWords::rule($one[1], $steps[$one[0]], $steps[$step]);

                return [
                    'no' => $one[0] + 1,
                    'rule' => $one[1]->value,
                    'why' => $reasons[$words] ??= count($reasons),
                ];
            }, $before);
        }

        return ['follows' => $follows, 'reasons' => array_keys($reasons)];
    }

    /** @return array<string, mixed> */
    private static function unit(Unit $unit, Plan $plan, ?Piece $piece): array
    {
        $tier = $plan->request->tier;

        return [
            'id' => $unit->id,
            'order' => $unit->order_id,
            'order_number' => $unit->order->number,
            'label' => $unit->label,
            'sculpt' => $plan->request->sculpt->name,
            'tier' => [
                'key' => $tier->key,
                'name' => $tier->name,
                'order' => $tier->order,
                'status' => $tier->status->value,
            ],
            'standard_version' => $unit->order->version->number,
            'count' => $unit->standing()->count(),
            'released' => $unit->released_at !== null,
            'revision' => $unit->revision,
            'edits' => (object) ($piece === null ? $unit->edits ?? [] : $piece->edits ?? []),
            'frame_mm' => $plan->request->sculpt->frameMm ?? [60, 80],
        ];
    }

    /** @return list<array<string, mixed>> in the order in which plans number them */
    private function amended(Unit $unit): array
    {
        $rows = $this->amendments->rows($unit);
        $names = User::query()->whereIn('id', $rows->pluck('made_by'))->pluck('name', 'id');

        return array_values(
            $rows
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
                ->all(),
        );
    }

    /** @return list<array<string, mixed>> */
    private static function pieces(Unit $unit): array
    {
        return array_values(
            $unit
                ->standing()
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
        );
    }

    /** @return array<string, mixed> */
    private static function arranged(Unit $unit): array
    {
        $kept = $unit->arrangement ?? [];

        return [
            'sequence' => ($kept['sequence'] ?? []) !== [],
            'paints' => (object) ($kept['paints'] ?? []),
            'notes' => (object) ($kept['notes'] ?? []),
            'practice' => $kept['practice'] ?? null,
        ];
    }

    /** @return array{slug: string, name: string, number: int}|null in the version that the unit is painted in */
    private static function scheme(Unit $unit): ?array
    {
        $scheme = $unit->order->scheme;

        return $scheme === null
            ? null
            : [
                'slug' => $scheme->slug,
                'name' => $scheme->name,
                'number' => $unit->scheme_number ?? $scheme->number,
            ];
    }

    /** @return list<array<string, mixed>> other units of the same figure, the newest first */
    private static function alike(Unit $unit): array
    {
        $units = Unit::query()
            ->with('order:id,number')
            ->where('sculpt_id', $unit->sculpt_id)
            ->where('id', '<>', $unit->id)
            ->orderByDesc('id')
            ->limit(self::MOST_ALIKE)
            ->get();

        return array_values(
            $units
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
        );
    }

    /** @return array<string, mixed> */
    private function kind(PieceKind $kind, UnitPlan $whole): array
    {
        return [
            'pieces' => $kind->pieces,
            'plain' => $kind->isPlain(),
            'variant' => $kind->variant?->name,
            'lacks' => $kind->lacks,
            'amendments' => array_values(
                array_filter($kind->amendments, fn (int $n) => $n < Arrangements::VARIANT_AMENDMENTS),
            ),
            'edited' => $kind->edited,
            'minutes' => round($kind->plan->minutesByPasses(), 2),
            'adds' => round($kind->plan->minutesByPasses() - $whole->plain()->minutesByPasses(), 2),
            'conflicts' => count($kind->plan->conflicts()),
            'short' => count(
                array_filter(
                    $kind->plan->requirements,
                    fn (RequirementState $s) => $s->state?->isLacking() === true,
                ),
            ),
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
                if ($area !== null && FittingTechniques::fits($technique, $area)) {
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
    private function clauses(Plan $plan): array
    {
        $words = [];
        $said = new ClauseWords($plan->request->standard, $plan->request->sculpt);
        foreach ($plan->request->standard->clausesOf($plan->request->tier) as $clause) {
            $words[$clause->id] = $said->name($clause);
        }
        $words[Amendment::BASE] = 'Base colour: left unpainted';

        return $words;
    }
}
