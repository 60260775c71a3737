<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Models\BatchRow;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\BatchStates;
use App\Studio\BatchState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Ordotype\Core\Bench\Batch\Lag;
use Ordotype\Core\Bench\Batch\NextRun;
use Ordotype\Core\Bench\Batch\OwnMix;
use Ordotype\Core\Bench\Batch\Run;

/** A batch with its runs as they lie from now on, what each painter does next, what dries, and when it is finished. */
final class BatchShown
{
    /** Runs that are told: later ones move before they come. */
    private const RUNS = 120;

    public function __construct(private readonly BatchStates $states)
    {
    }

    /** @return array{data: list<array<string, mixed>>} those that are not ended */
    public function all(): array
    {
        return ['data' => array_values(BatchRow::open()->map(fn (BatchRow $row) => $this->brief($row))->all())];
    }

    /** @return array<string, mixed> */
    public function of(BatchRow $row): array
    {
        $state = $this->states->of($row);
        $row->loadMissing(['pieces.unit.order', 'pieces.unit.sculpt']);
        $timetable = $state->force->timetable;

        return [
            'brief' => $this->brief($row, $state),
            'revision' => $row->revision,
            'starts_at' => $row->starts_at->toIso8601ZuluString(),
            'laid_at' => $row->laid_at->toIso8601ZuluString(),
            'guns' => $row->guns,
            'fan' => $row->fan,
            'painters' => $this->painters($state),
            'runs' => array_map(
                fn (Run $run) => $this->run($state, $run),
                array_slice($timetable->runs, 0, self::RUNS),
            ),
            'more_runs' => max(0, count($timetable->runs) - self::RUNS),
            'drying' => self::drying($state),
            'finish' => $state->finish()?->startOfSecond()->toIso8601ZuluString(),
            'hand_minutes' => round(self::handMinutes($state), 1),
            'waiting' => round($timetable->waiting, 1),
            'changes' => $timetable->changes(),
            'left' => count($timetable->left),
            'loose' => $state->isLoose(),
        ];
    }

    /**
     * How a batch stands to the day it is due.
     *
     * @return array<string, mixed>
     */
    public function standing(BatchState $state): array
    {
        $timetable = $state->force->timetable;

        return [
            'brief' => $this->brief($state->row, $state),
            'revision' => $state->row->revision,
            'finish' => $state->finish()?->startOfSecond()->toIso8601ZuluString(),
            'waiting' => round($timetable->waiting, 1),
            'left' => count($timetable->left),
            'loose' => $state->isLoose(),
        ];
    }

    /**
     * What it would come to if it were laid out anew now.
     *
     * @return array<string, mixed>
     */
    public function anew(BatchRow $row): array
    {
        $state = $this->states->of($row);
        $old = $state->force->timetable;
        $new = OwnMix::from($state->batch, $state->progress);
        $isBetter = $state->force->anew($state->batch, $state->progress) !== null;

        return [
            'finish' => $new->left === [] ? self::zulu($state, $new->finish) : null,
            'sooner' => $new->left === [] && $old->left === [] ? round($old->finish - $new->finish, 1) : null,
            'waiting' => round($new->waiting, 1),
            'changes' => $new->changes(),
            'left' => count($new->left),
            'is_better' => $isBetter,
        ];
    }

    /** @return array<string, mixed> */
    private function brief(BatchRow $row, ?BatchState $state = null): array
    {
        /** @var Collection<int, Unit> $units */
        $units = $row->pieces->map(fn (Piece $p) => $p->unit)->unique('id')->values();
        $due = $units->map(fn (Unit $u) => $u->order->day())->filter()->min();

        return [
            'id' => $row->id,
            'name' => $row->name,
            'models' => $row->pieces->count(),
            'due_on' => $due?->format('Y-m-d'),
            'units' => $units
                ->map(fn (Unit $u) => [
                    'id' => $u->id,
                    'order_number' => $u->order->number,
                    'title' => $u->order->title,
                    'sculpt' => $u->sculpt->name,
                    'models' => $row->pieces->where('unit_id', $u->id)->count(),
                    'due_on' => $u->order->day()?->format('Y-m-d'),
                    'finish' => $state?->finishOf($u->id)?->startOfSecond()->toIso8601ZuluString(),
                ])
                ->all(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function painters(BatchState $state): array
    {
        $names = User::query()->whereIn('id', $state->users)->pluck('name', 'id');

        return array_map(
            function (array $hand, int $place) use ($state, $names): array {
                $next = NextRun::of($state->batch, $state->force, $state->progress, $place);

                return [
                    ...$hand,
                    'name' => (string) $names[$hand['user']],
                    'next' => [
                        'why' => $next->why->value,
                        'until' => $next->until === null ? null : self::zulu($state, $next->until),
                        'held' => $next->held === null ? null : $this->held($state, $next->held),
                        'does' => $next->run === null ? null : RunWork::of($state, $next->run[1]),
                    ],
                ];
            },
            $state->row->painters,
            array_keys($state->row->painters),
        );
    }

    /**
     * What the run that would be next waits for.
     *
     * @return array<string, mixed>
     */
    private function held(BatchState $state, Lag $lag): array
    {
        $done = $state->progress->done[$lag->from] ?? null;

        return [
            'why' => $lag->why->value,
            'technique' => RunWork::of($state, [$lag->from])['technique'],
            'until' => $done === null ? null : self::zulu($state, $done[0] + $lag->minutes),
        ];
    }

    /** @return array<string, mixed> */
    private function run(BatchState $state, Run $run): array
    {
        return [
            'painter' => $state->users[$run->painter],
            'from' => self::zulu($state, $run->from),
            'to' => self::zulu($state, $run->to),
            'setup' => round($run->setup, 1),
            'waited' => round($run->waited, 1),
            'does' => RunWork::of($state, $run->operations),
        ];
    }

    /** @return list<array<string, mixed>> what is wet now and holds something, until it is dry, the soonest first */
    private static function drying(BatchState $state): array
    {
        $wet = [];
        foreach ($state->progress->done as $i => [$end]) {
            $until = RunWork::dry($state, $i, $end) ?? 0.0;
            if ($until > $state->progress->now) {
                $step = $state->releaseOf($i)->steps()[$state->batch->operations[$i]->steps[0]];
                $key = $step->technique->name.' '.$state->pieceOf($i)->unit_id.' '.round($until);
                $wet[$key] ??= [
                    'technique' => $step->technique->name,
                    'paint' => $step->colour?->words(),
                    'sculpt' => $state->releaseOf($i)->request->sculpt->name,
                    'until' => self::zulu($state, $until),
                    'models' => [],
                ];
                $wet[$key]['models'][] = $state->pieceOf($i)->number;
            }
        }
        usort($wet, fn (array $a, array $b) => $a['until'] <=> $b['until']);

        return $wet;
    }

    private static function handMinutes(BatchState $state): float
    {
        $open = array_diff_key($state->batch->operations, $state->progress->done);

        return array_sum(array_map(fn ($o) => $o->minutes, $open));
    }

    private static function zulu(BatchState $state, float $minutes): string
    {
        return CarbonImmutable::instance($state->moment($minutes))->utc()->startOfSecond()->toIso8601ZuluString();
    }
}
