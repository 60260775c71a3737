<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Unit;
use App\Studio\ActivityLog;
use App\Studio\Refusal;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Planning\Planner;

/** Changes a unit's plan by hand, and releases it to the bench. */
final class PlanUnit
{
    /** @param  array<string, list<array{technique: string, passes: int, extent: string}>>  $edits by area; an empty list leaves the area to the planner */
    public function edit(Unit $unit, array $edits, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $edits, $revision): Unit {
            $unit = UnitPlans::unreleased($unit, $revision);
            $edits = array_filter($edits, fn (array $list) => $list !== []);
            UnitPlans::choices(Planner::plan(UnitPlans::request($unit)), $edits);
            $before = $unit->edits;
            $unit->update(['edits' => $edits === [] ? null : $edits, 'revision' => $unit->revision + 1]);
            ActivityLog::write('plan.edited', $unit, $before, $unit->edits);

            return $unit;
        });
    }

    public function release(Unit $unit, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $revision): Unit {
            $unit = UnitPlans::unreleased($unit, $revision);
            $plan = UnitPlans::plan($unit);
            if ($plan->conflicts() !== []) {
                throw new Refusal('The plan has conflicts that want an amendment first: '.implode(' ', array_map(fn ($c) => "$c->reason.", $plan->conflicts())), '/conflicts');
            }
            $unit->update(['plan' => Json::encode(PlanFormat::write($plan)), 'released_at' => now(), 'released_by' => Auth::id(), 'revision' => $unit->revision + 1]);
            if (in_array($unit->order->status, ['draft', 'quoted', 'accepted'], true)) {
                $unit->order->update(['status' => 'in_work']);
            }
            ActivityLog::write('plan.released', $unit, null, ['minutes' => round($plan->minutesByPasses(), 2)]);

            return $unit;
        });
    }
}
