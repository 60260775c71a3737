<?php

declare(strict_types=1);

namespace App\Actions;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Unit\UnitPlan;
use App\Models\Piece;
use App\Models\Unit;
use App\Studio\ActivityLog;
use App\Studio\Refusal;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** Changes a unit's plan by hand, and releases it to the bench. */
final class PlanUnit
{
    /**
     * @param  array<string, list<array{technique: string, passes: int, extent: string}>>  $edits  by area; an
     *     empty list leaves the area to the planner
     * @param  Piece|null  $piece  the one it is for; null: the whole unit
     */
    public function edit(Unit $unit, array $edits, int $revision, ?Piece $piece = null): Unit
    {
        return DB::transaction(function () use ($unit, $edits, $revision, $piece): Unit {
            $unit = UnitPlans::unreleased($unit, $revision);
            $edits = array_filter($edits, fn (array $list) => $list !== []);
            UnitPlans::choices(UnitPlans::request($unit), $edits);
            $of = $piece ?? $unit;
            $before = $of->edits;
            $of->update(['edits' => $edits === [] ? null : $edits]);
            $unit->update(['revision' => $unit->revision + 1]);
            ActivityLog::write('plan.edited', $of, $before, $of->edits);

            return $unit->refresh();
        });
    }

    public function release(Unit $unit, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $revision): Unit {
            $unit = UnitPlans::unreleased($unit, $revision);
            $plan = UnitPlans::unitPlan($unit);
            if ($plan->conflicts() !== []) {
                throw new Refusal(
                    'The plan has conflicts that want an amendment first: '.
                        implode(' ', array_map(fn ($c) => "$c->reason.", $plan->conflicts())),
                    '/conflicts',
                );
            }
            $rejected = $unit->order->scheme
                ?->versions()
                ->where('number', $unit->order->scheme->number)
                ->where('outcome', 'rejected')
                ->exists();
            if ($rejected === true) {
                throw new Refusal(
                    "The test model of scheme {$unit->order->scheme->name} was rejected: change its colours first.",
                    '/scheme',
                    409,
                );
            }
            $this->keep($unit, $plan);
            $unit->update([
                'released_at' => now(),
                'released_by' => Auth::id(),
                'scheme_number' => $unit->order->scheme?->number,
                'revision' => $unit->revision + 1,
            ]);
            if (in_array($unit->order->status, ['draft', 'quoted', 'accepted'], true)) {
                $unit->order->update(['status' => 'in_work']);
            }
            ActivityLog::write('plan.released', $unit, null, [
                'minutes' => round($plan->minutes() / max(1, UnitPlans::pieces($unit)->count()), 2),
            ]);

            return $unit;
        });
    }

    /** Keeps the plan as it goes to the bench; where pieces differ, each keeps the steps it needs. */
    public function keep(Unit $unit, UnitPlan $plan): void
    {
        $unit->update(['plan' => Json::encode(PlanFormat::write($plan->plain(), $plan->work))]);
        foreach (UnitPlans::pieces($unit) as $piece) {
            $piece->update([
                'steps' => count($plan->kinds) === 1
                        ? null
                        : PlanFormat::keysWithin($plan->kindOf($piece->number)->plan, $plan->work),
            ]);
        }
    }
}
