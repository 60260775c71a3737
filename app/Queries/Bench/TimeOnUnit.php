<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Models\StepLog;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Repositories\Releases;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** What was marked on a unit's models, tap by tap, with the minutes told for it and how they were corrected. */
final class TimeOnUnit
{
    /** Taps that are told, the latest. */
    private const TAPS = 60;

    public function __construct(private readonly Releases $releases)
    {
    }

    /** @return array{data: list<array<string, mixed>>} */
    public function of(Unit $unit, User $user): array
    {
        $standard = $this->releases->of($unit)->request->standard;
        /** @var Collection<int, StepLog> $logs */
        $logs = StepLog::query()
            ->with(['user:id,name', 'piece:id,number'])
            ->whereHas('piece', fn (Builder $q) => $q->where('unit_id', $unit->id))
            ->whereNull('skipped')
            ->where('taken_over', false)
            ->orderByDesc('done_at')
            ->orderByDesc('id')
            ->get();
        $taps = $logs->groupBy(fn (StepLog $l) => "$l->user_id {$l->done_at->format('U.v')}")->take(self::TAPS);
        $corrected = $this->corrections($taps->flatten(1)->pluck('id')->all());
        $isLead = Rights::has($user, 'plan.edit');
        $name = fn (string $key): string => $standard->hasTechnique($key)
            ? $standard->technique($key)->name
            : 'Repair';
        $spent = fn (Collection $of): ?float => $of->whereNotNull('spent')->isEmpty()
            ? null
            : round((float) $of->sum('spent'), 1);

        return [
            'data' => array_values($taps->map(fn (Collection $of) => [
                'logs' => $of->pluck('id')->sort()->values()->all(),
                'by' => $of[0]->user->name,
                'at' => $of[0]->done_at->toIso8601ZuluString(),
                'techniques' => $of->pluck('technique')->unique()->map($name)->values()->all(),
                'models' => $of->map(fn (StepLog $l) => $l->piece->number)->unique()->sort()->values()->all(),
                'minutes' => $spent($of),
                'planned' => round((float) $of->sum('planned_minutes'), 1),
                'corrected' => $corrected[$of->min('id')] ?? [],
                'may_correct' => $isLead || $of[0]->user_id === $user->id,
            ])->all()),
        ];
    }

    /**
     * @param  array<int, mixed>  $logs  ids
     * @return array<int, list<array<string, mixed>>> by the first entry of a tap: how its minutes were corrected
     */
    private function corrections(array $logs): array
    {
        $rows = DB::table('time_corrections')
            ->join('users', 'users.id', '=', 'time_corrections.user_id')
            ->whereIn('step_log_id', $logs)
            ->orderBy('time_corrections.id')
            ->get(['step_log_id', 'reason', 'at', 'users.name as by']);
        $corrected = [];
        foreach ($rows as $row) {
            $corrected[(int) $row->step_log_id][] = ['reason' => $row->reason, 'by' => $row->by];
        }

        return $corrected;
    }
}
