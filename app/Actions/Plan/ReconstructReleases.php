<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Models\Check;
use App\Models\Piece;
use App\Models\ReleaseRow;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\Node;
use Ordotype\Core\Format\ReleasedStepFormat;
use Ordotype\Core\Format\ReleaseFormat;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use stdClass;

/**
 * Makes releases of units that went to the bench before releases were kept: their steps and keys as they were stored,
 * byte for byte, the rest from today's rows.
 */
final class ReconstructReleases
{
    public function __construct(
        private readonly UnitPlans $plans,
        private readonly Releases $releases,
        private readonly KeepRelease $keep,
    ) {
    }

    /** What was painted over is marked by a column, and no longer by its key. */
    public function uncover(): void
    {
        DB::statement(
            "UPDATE step_logs SET covered_by = 1, step = SUBSTRING(step, LOCATE(':', step, 7) ".
                "+ 1) WHERE step LIKE 'under:%'",
        );
    }

    public function all(): void
    {
        Unit::query()
            ->whereNotNull('plan')
            ->with(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces'])
            ->orderBy('id')
            ->each($this->of(...));
    }

    private function of(Unit $unit): void
    {
        $stored = Json::decode((string) $unit->getAttribute('plan'));
        if (! ($stored instanceof stdClass)) {
            return;
        }
        $keep = $this->keep;
        $release = $keep->release($unit, $this->plans->unitPlan($unit));
        $document = ReleaseFormat::write($release);
        $document->reconstructed = true;
        $steps = $this->steps($stored, $release);
        $document->steps = array_map(
            fn (stdClass $plain, Step $s) => ReleasedStepFormat::with($plain, $s),
            self::keyed($stored),
            $steps,
        );
        $document->passes = array_map(
            fn (stdClass $p) => (object) ['steps' => $p->steps, 'minutes' => $p->minutes, 'dry' => $p->dry],
            $stored->passes,
        );
        [$document->edges, $document->wet] = $this->edges($steps, $release->request);
        foreach ($document->kinds as $kind) {
            $this->kind($kind, $unit, $stored, array_column($document->steps, 'key'));
        }
        $row = $this->releases->keep($unit, $document, $unit->released_by, null);
        ReleaseRow::query()
            ->whereKey($row->id)
            ->update(['released_at' => $unit->released_at]);
        Check::query()
            ->whereIn('piece_id', $unit->pieces->pluck('id'))
            ->update(['release_id' => $row->id]);
    }

    /**
     * @return list<stdClass> the stored steps, each with its key: plans that are older than keys get them as they
     * were
     * then
     */
    private static function keyed(stdClass $stored): array
    {
        return array_map(function (stdClass $step): stdClass {
            $place = $step->technique === 'masking' ? "no$step->no" : $step->pass;
            $step->key ??= ($step->area ?? '*').":$step->technique:$place";

            return $step;
        }, $stored->steps);
    }

    /** @return list<Step> what the stored steps say, with what of them today's rows know */
    private function steps(stdClass $stored, Release $release): array
    {
        $today = [];
        foreach ($release->plan->work->steps as $step) {
            $today[$step->key()->id] ??= $step;
        }
        $steps = [];
        foreach (self::keyed($stored) as $plain) {
            $known = $today[$plain->key] ?? null;
            $plain = clone $plain;
            $technique = $release->request->standard->technique($plain->technique);
            $plain->phase = $known === null ? Phase::of($technique)->value : $known->phase->value;
            $plain->handling = $known === null ? min($plain->minutes, $technique->handling) : $known->handling;
            $plain->sprays =
                $known->sprays ??
                ($technique->key === 'masking' ? [substr((string) strrchr($plain->key, ':'), 1)] : []);
            $plain->covers = $known->covers ?? [];
            $problems = new Problems();
            $steps[] = ReleasedStepFormat::read(Node::root($plain, $problems), $release->request);
            $problems->refuse();
        }

        return $steps;
    }

    /**
     * @param  list<Step>  $steps
     * @return array{list<stdClass>, list<stdClass>}
     */
    private function edges(array $steps, PlanRequest $request): array
    {
        $graph = WorkOrder::of($request)->rules($steps);

        return [ReleaseFormat::edges($graph), ReleaseFormat::wet($graph)];
    }

    /** @param  list<string>  $keys  of all stored steps */
    private function kind(stdClass $kind, Unit $unit, stdClass $stored, array $keys): void
    {
        $piece = $unit->pieces->first(fn (Piece $p) => $p->number === $kind->pieces[0]);
        $own = $piece === null ? null : json_decode((string) $piece->getRawOriginal('steps'), true);
        $kind->steps = is_array($own)
            ? array_values(array_filter($keys, fn (string $k) => in_array($k, $own, true)))
            : $keys;
        if ($kind->variant === null && $kind->lacks === [] && $kind->amendments === [] && ! $kind->edited) {
            $kind->plan = $stored;
        }
    }
}
