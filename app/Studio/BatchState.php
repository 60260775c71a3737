<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\BatchRow;
use App\Models\Piece;
use Carbon\CarbonImmutable;
use Ordotype\Core\Bench\Batch\Batch;
use Ordotype\Core\Bench\Batch\BatchWork;
use Ordotype\Core\Bench\Batch\InForce;
use Ordotype\Core\Bench\Batch\Progress;
use Ordotype\Core\Bench\Batch\Timetable;
use Ordotype\Core\Bench\Release;

/**
 * A batch as it stands now: its work, how far it has come, and its runs moved to that.
 *
 * @phpstan-import-type KeptRun from BatchRow
 */
final readonly class BatchState
{
    /**
     * @param  array<int, Piece>  $pieces  by number in the batch
     * @param  array<int, Release>  $releases  by id of the unit
     * @param  list<int>  $users  ids, by place among the painters
     */
    public function __construct(
        public BatchRow $row,
        public Batch $batch,
        public Progress $progress,
        public InForce $force,
        public array $pieces,
        public array $releases,
        public array $users,
    ) {
    }

    /** Whether work is there that no run holds: a model was added, a release changed, or its painter left. */
    public function isLoose(): bool
    {
        $held = count(array_merge([], ...array_column($this->force->runs, 1)));
        $open = count($this->batch->operations) - count($this->progress->done);

        return $held < $open || $this->force->timetable->left !== [];
    }

    /** When the last hand comes off; null: all of it is done, or some of it cannot be. */
    public function finish(): ?CarbonImmutable
    {
        $isOpen = count($this->progress->done) < count($this->batch->operations);
        $timetable = $this->force->timetable;

        return $isOpen && $timetable->left === [] ? $this->moment($timetable->finish) : null;
    }

    public function moment(float $minutes): CarbonImmutable
    {
        return $this->row->starts_at->addSeconds((int) round(60 * $minutes));
    }

    /** When the last hand comes off a unit's models; null: it cannot be done, or nothing is left to do. */
    public function finishOf(int $unit): ?CarbonImmutable
    {
        $last = null;
        foreach ($this->force->timetable->starts as $i => $start) {
            if ($this->pieceOf($i)->unit_id === $unit && ! isset($this->progress->done[$i])) {
                $last = max($last ?? 0.0, $start + $this->batch->operations[$i]->minutes);
            }
        }

        return $last === null || is_infinite($last) ? null : $this->moment($last);
    }

    public function pieceOf(int $operation): Piece
    {
        return $this->pieces[$this->batch->operations[$operation]->piece];
    }

    public function releaseOf(int $operation): Release
    {
        return $this->releases[$this->pieceOf($operation)->unit_id];
    }

    /** @return list<KeptRun> a timetable's runs as they are kept */
    public function kept(Timetable $timetable): array
    {
        return array_map(
            fn (array $run) => [
                'painter' => $this->users[$run[0]],
                'operations' => array_map(fn (int $i) => $this->nameOf($i), $run[1]),
            ],
            InForce::runsOf($timetable),
        );
    }

    /** @return array{int, string, int} */
    private function nameOf(int $operation): array
    {
        $is = $this->batch->operations[$operation];

        return [$this->pieces[$is->piece]->id, $is->steps[0], BatchWork::coatOf($is)];
    }
}
