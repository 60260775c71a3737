<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Exceptions\BenchRefused;
use App\Exceptions\Conflict;
use App\Models\Piece;
use App\Models\Unit;
use Illuminate\Database\Eloquent\ModelNotFoundException;

/** Units with all that their plans are made from. */
final class Units
{
    private const PLANNED_FROM = ['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces'];

    public function withPlan(Unit $unit): Unit
    {
        return $unit->load(self::PLANNED_FROM);
    }

    public function find(int $id): Unit
    {
        return Unit::query()->with(self::PLANNED_FROM)->findOrFail($id);
    }

    /**
     * The model of the unit that has a number; none where none is named.
     *
     * @throws ModelNotFoundException<Piece>
     */
    public function piece(Unit $unit, ?int $number): ?Piece
    {
        return $number === null ? null : $unit->pieces()->where('number', $number)->firstOrFail();
    }

    /**
     * The unit, locked for a change of its plan; to be called within a transaction.
     *
     * @throws BenchRefused
     * @throws Conflict when somebody else has changed it since
     */
    public function unreleased(Unit $unit, int $revision): Unit
    {
        $unit = Unit::query()->with(self::PLANNED_FROM)->lockForUpdate()->findOrFail($unit->id);
        if ($unit->released_at !== null) {
            throw BenchRefused::alreadyReleased();
        }
        if ($unit->revision !== $revision) {
            throw Conflict::plan($unit);
        }

        return $unit;
    }
}
