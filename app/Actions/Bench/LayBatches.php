<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\BenchRefused;
use App\Exceptions\Conflict;
use App\Models\BatchRow;
use App\Models\Piece;
use App\Models\User;
use App\Repositories\BatchStates;
use App\Studio\ActivityLog;
use App\Studio\BatchState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Batch\OwnMix;
use Ordotype\Core\Bench\Batch\Timetable;
use Ordotype\Core\Bench\Stage;

/**
 * Lays batches out: models, painters and hours make runs, which stay in force until others end sooner.
 *
 * @phpstan-import-type Hand from BatchRow
 */
final class LayBatches
{
    /** Minutes by which the end moves before it is looked at. */
    private const OFF = 60.0;

    public function __construct(private readonly BatchStates $states, private readonly ActivityLog $log)
    {
    }

    /**
     * @param  list<int>  $units  all models of them that are worked on and in no other batch
     * @param  list<Hand>  $painters
     */
    public function make(
        User $by,
        string $name,
        array $units,
        array $painters,
        CarbonImmutable $startsAt,
        int $guns,
        bool $fan,
    ): BatchRow {
        return DB::transaction(function () use ($by, $name, $units, $painters, $startsAt, $guns, $fan): BatchRow {
            $pieces = Piece::query()
                ->whereIn('unit_id', $units)
                ->whereIn('stage', Stage::words(fn (Stage $s) => $s->isAtWork()))
                ->whereHas('unit', fn ($q) => $q->whereNotNull('released_at'))
                ->orderBy('id')
                ->lockForUpdate()
                ->get();
            foreach ($pieces as $piece) {
                if ($piece->batch_id !== null) {
                    throw BenchRefused::inAnotherBatch($piece);
                }
            }
            if ($pieces->isEmpty()) {
                throw BenchRefused::nothingToPaint();
            }
            $row = BatchRow::query()->create([
                'name' => $name,
                'starts_at' => $startsAt,
                'guns' => $guns,
                'fan' => $fan,
                'painters' => $painters,
                'runs' => [],
                'laid_at' => now(),
                'made_by' => $by->id,
            ]);
            Piece::query()->whereIn('id', $pieces->modelKeys())->update(['batch_id' => $row->id]);
            $this->lay($row->refresh());
            $this->log->write('batch.made', $row, null, ['name' => $name, 'models' => $pieces->count()]);

            return $row;
        });
    }

    /**
     * Other painters, hours, guns or air: laid out anew from how far it has come.
     *
     * @param  list<Hand>  $painters
     */
    public function change(
        BatchRow $batch,
        int $revision,
        string $name,
        array $painters,
        int $guns,
        bool $fan,
    ): BatchRow {
        return DB::transaction(function () use ($batch, $revision, $name, $painters, $guns, $fan): BatchRow {
            $row = $this->locked($batch, $revision);
            $before = $row->only(['name', 'painters', 'guns', 'fan']);
            $row->update(['name' => $name, 'painters' => $painters, 'guns' => $guns, 'fan' => $fan]);
            $this->log->write('batch.changed', $row, $before, $row->only(array_keys($before)));
            $this->lay($row);

            return $row;
        });
    }

    /** Its runs are laid out anew. */
    public function layAnew(BatchRow $batch, int $revision): BatchRow
    {
        return DB::transaction(function () use ($batch, $revision): BatchRow {
            $row = $this->locked($batch, $revision);
            $this->lay($row);

            return $row;
        });
    }

    /**
     * Looked at after something that moves it: where its end is an hour off what was expected, or some of it can no
     * longer be done as it was laid out, it is laid out anew, and that takes its place when it ends sooner by enough.
     *
     * @return bool whether other runs are in force now
     */
    public function follow(BatchRow $batch): bool
    {
        return DB::transaction(function () use ($batch): bool {
            $row = BatchRow::query()->lockForUpdate()->findOrFail($batch->id);
            $state = $this->states->of($row);
            $finish = $state->finish();
            $isOff = $finish !== null && ($row->expected_at === null ||
                abs($row->expected_at->diffInMinutes($finish)) >= self::OFF);
            if (! $isOff && ! $state->isLoose()) {
                return false;
            }
            $new = $state->force->anew($state->batch, $state->progress);
            if ($new === null) {
                // It is known now, and not asked again until it has moved once more.
                $row->update(['expected_at' => $finish]);

                return false;
            }
            $this->keep($row, $state, $new);
            $this->log->write('batch.laid_anew', $row, ['finish' => $finish], ['finish' => $row->expected_at]);

            return true;
        });
    }

    /** Its models are free for other batches. Ended twice, it is ended once. */
    public function end(BatchRow $batch): void
    {
        DB::transaction(function () use ($batch): void {
            $row = BatchRow::query()->lockForUpdate()->findOrFail($batch->id);
            Piece::query()->where('batch_id', $row->id)->update(['batch_id' => null]);
            if ($row->ended_at === null) {
                $row->update(['ended_at' => now()]);
                $this->log->write('batch.ended', $row, null, ['name' => $row->name]);
            }
        });
    }

    private function lay(BatchRow $row): void
    {
        $state = $this->states->of($row);
        $this->keep($row, $state, OwnMix::from($state->batch, $state->progress));
    }

    private function keep(BatchRow $row, BatchState $state, Timetable $timetable): void
    {
        $row->update([
            'runs' => $state->kept($timetable),
            'laid_at' => now(),
            'expected_at' => $timetable->left === [] ? $state->moment($timetable->finish) : null,
            'revision' => $row->revision + 1,
        ]);
    }

    private function locked(BatchRow $batch, int $revision): BatchRow
    {
        $row = BatchRow::query()->lockForUpdate()->findOrFail($batch->id);
        if ($row->ended_at !== null) {
            throw BenchRefused::batchEnded();
        }
        if ($row->revision !== $revision) {
            throw Conflict::batch($row);
        }

        return $row;
    }
}
