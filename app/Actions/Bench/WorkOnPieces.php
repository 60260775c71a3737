<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\BenchRefused;
use App\Exceptions\Conflict;
use App\Exceptions\OrderRefused;
use App\Jobs\FollowBatch;
use App\Models\Order;
use App\Models\Piece;
use App\Models\StepLog;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\BenchWork;
use App\Studio\GateKeeper;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\WantedStep;
use Ordotype\Core\Words\PlanWords;

/** Marks steps done on pieces, takes marks back, and offers finished pieces to the check. */
final class WorkOnPieces
{
    /** What an entry that takes another back does not have of it. */
    private const NOT_TAKEN_BACK = [
        'covered_by', 'undone_by', 'standing', 'is_corrected', 'corrected_minutes', 'spent',
    ];

    public function __construct(
        private readonly BenchWork $work,
        private readonly Releases $releases,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * Marking a step twice changes nothing, so that a tap sent again after a lost connection does no harm.
     *
     * @param  list<int>  $pieces
     * @param  list<string>  $steps  keys
     * @param  float|null  $minutes  that were spent on all of it, where somebody told
     * @param  CarbonImmutable|null  $at  when it was done; null: now
     * @return list<Piece>
     */
    public function mark(
        array $pieces,
        array $steps,
        ?string $skipped = null,
        ?float $minutes = null,
        ?CarbonImmutable $at = null,
    ): array {
        return DB::transaction(function () use ($pieces, $steps, $skipped, $minutes, $at): array {
            $found = $this->locked($pieces);
            $rows = [];
            $said = GateKeeper::said($found->pluck('id')->all());
            $steps = array_values(array_unique($steps));
            foreach ($found->groupBy('unit_id') as $alike) {
                $this->mayBegin($alike, $alike[0]->unit->order);
                $release = $this->releases->of($alike[0]->unit);
                $test = GateKeeper::onTestModel($alike[0]->unit);
                foreach ($alike as $piece) {
                    $new = $this->newRows($piece, $release, $steps, $skipped);
                    GateKeeper::mayPass($piece, $release, $said[$piece->id] ?? [], $test, array_column($new, 'step'));
                    $rows = [...$rows, ...$new];
                }
            }
            $when = $at === null ? [] : ['done_at' => $at->format('Y-m-d H:i:s.v')];
            StepLog::query()->insert(array_map(fn (array $row) => $when + $row, self::spread($rows, $minutes)));
            $begun = $found
                ->where('stage', Stage::Planned->value)
                ->whereIn('id', array_column($rows, 'piece_id'));
            $this->move($begun, Stage::OnBench);
            FollowBatch::ofPieces($found);

            return array_values($found->load('standing')->all());
        });
    }

    /**
     * Minutes that were spent on all of it, shared by what each was planned at: never more or less than was told.
     *
     * @param  list<array<string, mixed>>  $rows  of the log
     * @return list<array<string, mixed>>
     */
    private static function spread(array $rows, ?float $minutes): array
    {
        $planned = array_sum(array_column($rows, 'planned_minutes'));
        $share = fn (array $row): float => $planned > 0.0
            ? (float) $row['planned_minutes'] / $planned
            : 1 / count($rows);

        return array_map(
            fn (array $row) => $row + ['minutes' => $minutes === null ? null : round($minutes * $share($row), 2)],
            $rows,
        );
    }

    /**
     * A running order comes over: what its pieces have up to a pass counts as done, by whoever painted it, and without
     * minutes, since nobody clocked them here.
     *
     * @param  int  $passes  how many of the release's passes, from the first
     */
    public function takeOver(Unit $unit, int $revision, int $passes, User $painter): void
    {
        DB::transaction(function () use ($unit, $revision, $passes, $painter): void {
            $unit->lockedOrder();
            $unit = Unit::query()->lockForUpdate()->findOrFail($unit->id);
            if ($unit->revision !== $revision) {
                throw Conflict::unit($unit);
            }
            if ($unit->released_at === null) {
                throw BenchRefused::notReleased($unit);
            }
            $release = $this->releases->of($unit);
            $steps = [];
            foreach (array_slice($release->passes(), 0, $passes) as $pass) {
                foreach ($pass->steps as $i) {
                    $steps[] = $release->keys[$i]->id;
                }
            }
            $pieces = $unit->standing()->filter(fn (Piece $p) => Stage::from($p->stage)->isAtWork());
            $rows = [];
            foreach ($this->locked(array_values($pieces->modelKeys())) as $piece) {
                $rows = [...$rows, ...$this->newRows($piece, $release, $steps, null)];
            }
            $before = ['user_id' => $painter->id, 'minutes' => null, 'taken_over' => true];
            StepLog::query()->insert(array_map(fn (array $row) => $before + $row, $rows));
            $begun = $pieces->where('stage', Stage::Planned->value)->whereIn('id', array_column($rows, 'piece_id'));
            $this->move(new Collection($begun->values()->all()), Stage::OnBench);
            $unit->update(['revision' => $revision + 1]);
            $this->log->write('unit.taken_over', $unit, null, ['passes' => $passes, 'steps' => count($rows)]);
        });
    }

    /**
     * What was begun is finished; nothing new is begun of an order that is on hold.
     *
     * @param  Collection<int, Piece>  $pieces
     *
     * @throws OrderRefused
     */
    private function mayBegin(Collection $pieces, Order $order): void
    {
        if ($order->held_at !== null && $pieces->contains('stage', Stage::Planned->value)) {
            throw OrderRefused::onHold((string) $order->held_reason);
        }
    }

    /**
     * Takes marks back: all of them or none. What somebody took back already stays so, and both see it done.
     *
     * @param  list<int>  $pieces
     * @param  list<string>  $steps  keys
     * @return list<Piece>
     *
     * @throws BenchRefused
     * @throws BenchRefused when one of them is not worked on any more
     * @throws BenchRefused when a step was never marked on any of them
     */
    public function unmark(array $pieces, array $steps): array
    {
        return DB::transaction(function () use ($pieces, $steps): array {
            $found = $this->locked($pieces);
            $left = $found->first(fn (Piece $p) => ! Stage::from($p->stage)->isAtWork());
            if ($left !== null) {
                throw BenchRefused::leftTheBench($left);
            }
            $logs = StepLog::query()
                ->withoutGlobalScope(StepLog::HISTORY)
                ->whereIn('piece_id', $found->modelKeys())
                ->whereIn('step', $steps)
                ->get();
            foreach ($steps as $step) {
                if (! $logs->contains('step', $step)) {
                    throw BenchRefused::neverMarked($step);
                }
            }
            $standing = $logs->whereNull('covered_by')->whereNull('undone_by')->whereNull('undoes');
            foreach ($standing as $log) {
                $this->log->write('step.taken_back', $found->find($log->piece_id) ?? $log, $log->toArray(), null);
                $undo = $log->replicate(self::NOT_TAKEN_BACK)->fill([
                    'undoes' => $log->id,
                    'minutes' => null,
                    'user_id' => Auth::id(),
                    'done_at' => now(),
                ]);
                $undo->save();
                $log->update(['undone_by' => $undo->id]);
            }
            $begun = StepLog::query()->whereIn('piece_id', $found->modelKeys())->distinct()->pluck('piece_id');
            $this->move(
                $found->where('stage', Stage::OnBench->value)->whereNotIn('id', $begun),
                Stage::Planned,
            );

            FollowBatch::ofPieces($found);

            return array_values($found->load('standing')->all());
        });
    }

    /**
     * Offers finished pieces to the check: all of them or none.
     *
     * @param  list<int>  $pieces
     * @return list<Piece>
     *
     * @throws BenchRefused
     * @throws BenchRefused
     * @throws BenchRefused when one of them wants something more
     */
    public function offer(array $pieces): array
    {
        return DB::transaction(function () use ($pieces): array {
            $found = $this->locked($pieces);
            foreach ($found->groupBy('unit_id') as $alike) {
                $release = $this->releases->of($alike[0]->unit);
                foreach ($alike as $piece) {
                    $this->mayBeOffered($piece, $release);
                }
            }
            foreach ($found->groupBy('stage') as $alike) {
                $this->move($alike, Stage::Offered);
            }

            return array_values($found->load('standing')->all());
        });
    }

    private function mayBeOffered(Piece $piece, Release $release): void
    {
        if (! Stage::from($piece->stage)->isBeingPainted()) {
            throw BenchRefused::notBeingWorkedOn($piece);
        }
        $open = $this->work->of($piece, $release)->open(BenchWork::done($piece));
        if ($open !== []) {
            throw BenchRefused::stepsOpen($piece, count($open), self::name($open[0], $release));
        }
    }

    /**
     * @param  list<int>  $pieces
     * @return Collection<int, Piece> by id, so that two who lock the same do not wait for each other
     */
    private function locked(array $pieces): Collection
    {
        $found = Piece::query()
            ->with(['unit', ...BenchWork::OF_PIECES])
            ->whereIn('id', $pieces)
            ->orderBy('id')
            ->lockForUpdate()
            ->get();

        return $found->count() === count(array_unique($pieces)) ? $found : throw BenchRefused::noSuchPieces();
    }

    /**
     * @param  list<string>  $steps
     * @return list<array<string, mixed>> of the log, for steps that are not marked yet
     */
    private function newRows(Piece $piece, Release $release, array $steps, ?string $skipped): array
    {
        if (! Stage::from($piece->stage)->isAtWork()) {
            throw BenchRefused::notOnTheBench($piece);
        }
        $work = $this->work->of($piece, $release);
        $wanted = $work->wanted();
        $others = $release->steps();
        $there = array_flip(BenchWork::done($piece));
        $rows = [];
        foreach ($steps as $step) {
            if (! isset($wanted[$step]) && isset($others[$step])) {
                continue; // others of the unit get it, this piece does not
            }
            $one = $wanted[$step] ?? throw BenchRefused::noSuchStep($piece, $step);
            if (! isset($there[$step])) {
                $rows[] = $this->row($piece, $step, $one, $skipped);
            }
        }
        $tooSoon = $work->varnishedTooSoon([...array_keys($there), ...array_column($rows, 'step')]);
        if ($tooSoon !== null) {
            [$covering, $first] = $tooSoon;
            throw BenchRefused::repairComesFirst($piece, $covering->technique->name, self::name($first, $release));
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    private function row(Piece $piece, string $step, WantedStep $wanted, ?string $skipped): array
    {
        return [
            'piece_id' => $piece->id,
            'step' => $step,
            'technique' => $wanted->technique->key,
            'family' => $wanted->technique->family->value,
            'area' => $wanted->area,
            'planned_minutes' => round($wanted->minutes, 2),
            'skipped' => $skipped,
            'user_id' => Auth::id(),
            'done_at' => now()->format('Y-m-d H:i:s.v'),
        ];
    }

    private static function name(WantedStep $step, Release $release): string
    {
        $sculpt = $release->request->sculpt;
        $area = $step->area !== null && $sculpt->has($step->area) ? $sculpt->area($step->area) : null;

        return mb_strtolower($step->technique->name).' on '.PlanWords::area($area);
    }

    /** @param  Collection<int, Piece>  $pieces that are at the same stage now */
    private function move(Collection $pieces, Stage $stage): void
    {
        $before = $pieces->first()?->stage;
        if ($before === null) {
            return;
        }
        Piece::query()->whereKey($pieces->modelKeys())->update([
            'stage' => $stage->value,
            'revision' => DB::raw('revision + 1'),
        ]);
        foreach ($pieces as $piece) {
            $moved = ['stage' => $stage->value, 'revision' => $piece->revision + 1];
            $piece->setRawAttributes($moved + $piece->getAttributes(), true);
        }
        $this->log->writeAll('piece.moved', $pieces, ['stage' => $before], ['stage' => $stage->value]);
    }
}
