<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\Conflict;
use App\Models\Receiving;
use App\Models\Unit;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** Writes down what came in of a unit: how many, built or not, how they are, what is missing, where they lie. */
final class ReceiveUnit
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  array{count: int, built: bool, state: string|null, missing: list<array{piece: int, part: string}>,
     *     spares: string|null, base: string|null, lies: string|null}  $found
     * @param  int  $revision  of what was written down before; 0: nothing was
     */
    public function __invoke(Unit $unit, int $revision, array $found): Receiving
    {
        return DB::transaction(function () use ($unit, $revision, $found): Receiving {
            $unit->lockedOrder();
            $row = Receiving::query()->where('unit_id', $unit->id)->first();
            if (($row->revision ?? 0) !== $revision) {
                throw Conflict::unit($unit);
            }
            $before = $row?->only(array_keys($found));
            $row ??= new Receiving(['unit_id' => $unit->id]);
            $row->fill($found + ['revision' => $revision + 1, 'user_id' => Auth::id(), 'at' => now()])->save();
            $this->log->write('unit.received', $unit, $before, $found);

            return $row;
        });
    }
}
