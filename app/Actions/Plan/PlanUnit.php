<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Exceptions\BenchRefused;
use App\Exceptions\Conflict;
use App\Exceptions\PlanRefused;
use App\Exceptions\SchemeRefused;
use App\Models\Check;
use App\Models\Piece;
use App\Models\ReleaseRow;
use App\Models\StepLog;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Repositories\Units;
use App\Studio\ActivityLog;
use App\Studio\OrderLife;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Studio\MoveCondition;
use Ordotype\Core\Words\OrderLifeWords;
use Ordotype\Core\Words\PlanWords;
use Ordotype\Core\Words\Terms;

/** Changes a unit's plan by hand, and releases it to the bench. */
final class PlanUnit
{
    /** Things that do not hold which are named before the rest are only counted. */
    private const NAMED = 4;

    public function __construct(
        private readonly KeepRelease $keep,
        private readonly Releases $releases,
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly OrderLife $life,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * @param  array<string, list<array{technique: string, passes: int, extent: string}>>  $edits  by area; an
     *     empty list leaves the area to the planner
     * @param  Piece|null  $piece  the one it is for; null: the whole unit
     */
    public function edit(Unit $unit, array $edits, int $revision, ?Piece $piece = null): Unit
    {
        return DB::transaction(function () use ($unit, $edits, $revision, $piece): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $edits = array_filter($edits, fn (array $list) => $list !== []);
            $this->plans->choices($this->plans->request($unit), $edits);
            $of = $piece ?? $unit;
            $before = $of->edits;
            $of->update(['edits' => $edits === [] ? null : $edits]);
            $unit->update(['revision' => $unit->revision + 1]);
            $this->log->write('plan.edited', $of, $before, $of->edits);

            return $unit->refresh();
        });
    }

    /**
     * @param  string|null  $despite  why it goes to the bench although something is missing
     *
     * @throws Conflict when something is missing and no reason is given
     */
    public function release(Unit $unit, int $revision, ?string $despite = null): Unit
    {
        return DB::transaction(function () use ($unit, $revision, $despite): Unit {
            $unit = $this->units->unreleased($unit, $revision);
            $plan = $this->plans->unitPlan($unit);
            $this->mayGo($unit, $plan);
            $order = $unit->order->locked();
            $missing = $this->missing($unit, $plan);
            if ($missing !== [] && trim((string) $despite) === '') {
                throw Conflict::gapsBeforeRelease($missing);
            }
            $unit->update([
                'released_at' => now(),
                'released_by' => Auth::id(),
                'scheme_number' => $unit->order->scheme?->number,
                'revision' => $unit->revision + 1,
            ]);
            ($this->keep)($unit, $plan);
            $this->life->released($order, $unit, $despite);
            $this->log->write('plan.released', $unit, null, [
                'minutes' => round($plan->minutes() / max(1, $unit->standing()->count()), 2),
                'missing' => $missing,
                'despite' => $missing === [] ? null : $despite,
            ]);

            return $unit;
        });
    }

    /** Takes a unit back from the bench, as long as nothing was done on it. */
    public function takeBack(Unit $unit, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $revision): Unit {
            $unit = Unit::query()
                ->with(['order', 'pieces'])
                ->lockForUpdate()
                ->findOrFail($unit->id);
            if ($unit->revision !== $revision) {
                throw Conflict::unit($unit);
            }
            $row = $this->releases->rowOf($unit) ?? throw BenchRefused::notReleased($unit);
            $ids = $unit->pieces->pluck('id');
            if (
                StepLog::query()->whereIn('piece_id', $ids)->exists() ||
                Check::query()->whereIn('piece_id', $ids)->exists()
            ) {
                throw BenchRefused::workHasBegun($unit);
            }
            ReleaseRow::query()
                ->whereKey($row->id)
                ->update(['taken_back_at' => now()]);
            $unit->update([
                'released_at' => null,
                'released_by' => null,
                'scheme_number' => null,
                'revision' => $unit->revision + 1,
            ]);
            $this->life->settle($unit->order_id);
            $this->log->write('plan.taken_back', $unit, ['release' => $row->number], null);

            return $unit->refresh();
        });
    }

    private function mayGo(Unit $unit, UnitPlan $plan): void
    {
        if ($plan->conflicts() !== []) {
            $words = new PlanWords($plan->plain()->request);
            $why = array_map(fn ($c) => Terms::sentence($words->conflict($c)), $plan->conflicts());
            throw PlanRefused::inConflict($why);
        }
        $scheme = $unit->order->scheme;
        if ($scheme?->isStillRejected() === true) {
            throw SchemeRefused::testModelRejected($scheme);
        }
    }

    /** @return list<string> what should be there before a unit goes to the bench, in words */
    private function missing(Unit $unit, UnitPlan $plan): array
    {
        $missing = [];
        $open = Terms::notAgreed($unit->order->status);
        if ($open !== null) {
            $missing[] = $open;
        }
        if (! $this->life->situation($unit->order)->isDuePaid) {
            $missing[] = OrderLifeWords::missing(MoveCondition::DuePaymentNotedOrReason);
        }
        if ($unit->order->scheme === null) {
            $missing[] = 'The order has no colours: the steps name no paints.';
        }
        $short = [];
        foreach ($plan->kinds as $kind) {
            $words = new PlanWords($kind->plan->request);
            foreach ($kind->plan->requirements as $state) {
                if ($state->state?->isOff() === true) {
                    $key = $state->requirement->area;
                    $area = $key === null ? null : $kind->plan->request->sculpt->area($key);
                    $short[] = $words->subject($state->requirement).' on '.PlanWords::area($area);
                }
            }
        }
        if ($short !== []) {
            $short = array_values(array_unique($short));
            $more = count($short) > self::NAMED ? ' and '.(count($short) - self::NAMED).' more' : '';
            $missing[] =
                'The plan does not hold what the tier asks: '.
                implode(', ', array_slice($short, 0, self::NAMED)).
                "$more.";
        }

        return $missing;
    }
}
