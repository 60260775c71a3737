<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\BenchRefused;
use App\Models\StepLog;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Studio\ActivityLog;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Puts minutes right that somebody told wrongly, or forgot to tell: with a reason, and what was told is kept. */
final class CorrectTime
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * Minutes of one tap, spread over what it marked by what was planned.
     *
     * @param  list<int>  $logs  ids of its entries, all of them of one unit
     * @param  float|null  $minutes  of all of it; null: nobody knows
     */
    public function correct(Unit $unit, User $by, array $logs, ?float $minutes, string $reason): void
    {
        DB::transaction(function () use ($unit, $by, $logs, $minutes, $reason): void {
            $found = StepLog::query()
                ->whereKey($logs)
                ->whereHas('piece', fn (Builder $q) => $q->where('unit_id', $unit->id))
                ->orderBy('id')
                ->lockForUpdate()
                ->get();
            if ($found->isEmpty() || $found->count() !== count(array_unique($logs))) {
                throw BenchRefused::noSuchEntry();
            }
            $others = $found->contains(fn (StepLog $l) => $l->user_id !== $by->id);
            if ($others && ! Rights::has($by, 'plan.edit')) {
                throw BenchRefused::timeOfAnother();
            }
            $planned = (float) $found->sum('planned_minutes');
            $rows = [];
            foreach ($found as $entry) {
                $share = $planned > 0.0 ? (float) $entry->planned_minutes / $planned : 1 / $found->count();
                $after = $minutes === null ? null : round($minutes * $share, 2);
                // Sent twice, it is corrected once.
                if ($entry->spent === null ? $after === null : (float) $entry->spent === $after) {
                    continue;
                }
                $rows[] = [
                    'step_log_id' => $entry->id,
                    'before' => $entry->spent,
                    'after' => $after,
                    'reason' => $reason,
                    'user_id' => $by->id,
                    'at' => now()->format('Y-m-d H:i:s.v'),
                ];
                StepLog::query()->whereKey($entry->id)->update(['is_corrected' => true, 'corrected_minutes' => $after]);
            }
            if ($rows !== []) {
                DB::table('time_corrections')->insert($rows);
                $was = array_sum(array_column($rows, 'before'));
                $now = ['minutes' => $minutes, 'reason' => $reason];
                $this->log->write('time.corrected', $unit, ['minutes' => $was], $now);
            }
        });
    }
}
