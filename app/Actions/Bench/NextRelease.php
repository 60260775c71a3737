<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Actions\Plan\KeepRelease;
use App\Exceptions\BenchRefused;
use App\Exceptions\Conflict;
use App\Models\Piece;
use App\Models\StepLog;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\UnitPlans;
use Illuminate\Support\Collection;
use Ordotype\Core\Bench\Stage;

/**
 * The next release of a unit that is on the bench, after something of it was changed: what is done stays done, unless
 * it is painted over. To be called within a transaction.
 */
final class NextRelease
{
    public function __construct(
        private readonly KeepRelease $keep,
        private readonly Releases $releases,
        private readonly UnitPlans $plans,
    ) {
    }

    /**
     * @return Unit|null null: it is not on the bench
     *
     * @throws Conflict
     */
    public function locked(Unit $unit, int $revision): ?Unit
    {
        $unit = Unit::query()
            ->with(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces.logs'])
            ->lockForUpdate()
            ->findOrFail($unit->id);
        if ($unit->revision !== $revision) {
            throw Conflict::unit($unit);
        }

        return $unit->released_at === null ? null : $unit;
    }

    /**
     * @param  Collection<int, Piece>  $pieces
     *
     * @throws BenchRefused
     */
    public static function noneSigned(Collection $pieces): void
    {
        $closed = $pieces->filter(fn (Piece $p) => Stage::from($p->stage)->isClosed());
        if ($closed->isNotEmpty()) {
            throw BenchRefused::signedOff(array_values($closed->map(fn (Piece $p) => $p->number)->all()));
        }
    }

    /**
     * @param  Unit  $unit  as {@see self::locked} gave it, changed since
     * @param  callable(StepLog): bool  $isCovered  whether work is painted over, or to be done anew; it stays in the
     *     log
     * @param  list<int>|null  $pieces  ids of those that it concerns; null: all
     */
    public function keep(Unit $unit, callable $isCovered, ?array $pieces = null): Unit
    {
        $number = $this->releases->nextNumber($unit);
        $concerned = $unit->pieces->filter(fn (Piece $p) => $pieces === null || in_array($p->id, $pieces, true));
        foreach ($concerned as $piece) {
            foreach ($piece->logs->whereNull('covered_by')->filter($isCovered) as $log) {
                $log->update(['covered_by' => $number]);
            }
        }
        $unit = Unit::query()
            ->with(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces'])
            ->findOrFail($unit->id);
        ($this->keep)($unit, $this->plans->unitPlan($unit));
        foreach ($unit->pieces->whereIn('id', $concerned->pluck('id')->all()) as $piece) {
            $stage = Stage::from($piece->stage)->afterAddedWork();
            $piece->update(['stage' => $stage->value, 'revision' => $piece->revision + 1]);
        }
        $unit->update(['revision' => $unit->revision + 1]);

        return $unit;
    }
}
