<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Models\AmendmentRow;
use App\Models\OverruleRow;
use App\Models\ReleaseRow;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\Amendments;
use App\Repositories\Arrangements;
use App\Repositories\FaultCatalogue;
use App\Repositories\Releases;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\Auth;
use Ordotype\Core\Bench\MadeAmendment;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\ReleaseInputs;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\ReleaseFormat;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Standard\Standard;

/** Writes down what a unit goes to the bench with. To be called within a transaction. */
final class KeepRelease
{
    public function __construct(
        private readonly Releases $releases,
        private readonly UnitPlans $plans,
        private readonly FaultCatalogue $faults,
        private readonly Amendments $amendments,
        private readonly Arrangements $arrangements,
    ) {
    }

    public function __invoke(Unit $unit, UnitPlan $plan): ReleaseRow
    {
        $release = $this->release($unit, $plan);
        $isSampled = $release->acceptance()?->sampled === true;

        return $this->releases->keep($unit, ReleaseFormat::write($release), Auth::id(), $isSampled);
    }

    public function release(Unit $unit, UnitPlan $plan): Release
    {
        $request = $this->plans->request($unit);
        $edges = WorkOrder::of($request)->rules($plan->work->steps);

        return Release::of(
            $this->releases->nextNumber($unit),
            $request,
            $this->inputs($unit, $request),
            $plan,
            $edges,
            $this->faults->table(),
        );
    }

    private function inputs(Unit $unit, PlanRequest $request): ReleaseInputs
    {
        $version = $unit->order->version;
        $named = [
            'standard' => $version->sha256,
            'tier' => $unit->tier,
            'sculpt' => hash('sha256', $unit->sculpt->document),
            'scheme' => $request->scheme === null
                    ? null
                    : hash('sha256', CanonicalJson::encode(SchemeFormat::write($request->scheme))),
            'paints' => array_map(
                fn ($p) => "$p->name {$p->colour->hex()} {$p->hiding->value} $p->kind",
                $request->shelf->paints,
            ),
            'method' => CanonicalJson::encode(MethodFormat::write($request->method)),
            'amendments' => $this->amendments->rows($unit)->pluck('body')->all(),
            'edits' => CanonicalJson::encode($unit->edits),
            'arrangement' => CanonicalJson::encode($unit->arrangement),
            'overrules' => CanonicalJson::encode(
                $unit->order->overrules->map(fn (OverruleRow $o) => $o->facts())->all() ?: null,
            ),
            'variants' => CanonicalJson::encode($this->arrangements->variantDocuments($unit)),
            'pieces' => $unit
                ->standing()
                ->map(fn ($p) => [$p->number, CanonicalJson::encode($p->lacks), CanonicalJson::encode($p->edits)])
                ->all(),
        ];

        return new ReleaseInputs(
            $version->number,
            (string) $version->sha256,
            $request->scheme === null ? null : $unit->scheme_number ?? $unit->order->scheme?->number,
            $this->made($unit, $request->standard),
            hash('sha256', CanonicalJson::encode($named)),
        );
    }

    /** @return list<MadeAmendment> of the studio, the order, the unit and its pieces, as plans number them */
    private function made(Unit $unit, Standard $standard): array
    {
        $rows = $this->amendments->rows($unit);
        $read = $this->amendments->read($rows->map(fn (AmendmentRow $r) => Json::decode($r->body))->all(), $standard);
        $names = User::query()->whereIn('id', $rows->pluck('made_by'))->pluck('name', 'id');

        return array_values(
            $rows
                ->values()
                ->map(
                    fn (AmendmentRow $r, int $i) => new MadeAmendment(
                        $read[$i],
                        $r->made_by === null ? null : $names[$r->made_by] ?? null,
                        $r->created_at?->toIso8601ZuluString(),
                        $r->piece?->number,
                    ),
                )
                ->all(),
        );
    }
}
