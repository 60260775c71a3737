<?php

declare(strict_types=1);

namespace App\Actions\Check;

use App\Exceptions\CheckRefused;
use App\Models\Check;
use App\Models\LotRow;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\Lots;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Inspection\Lot;
use Ordotype\Core\Inspection\LotVerdict;
use Ordotype\Core\Inspection\SamplingPlan;

/** Draws a sample of what a unit offers together, and lets the rest pass or be checked by what it says. */
final class SampleUnit
{
    /** Seeds are of 31 bits, so that every number type holds them. */
    private const SEEDS = 0x7FFFFFFF;

    public function __construct(private readonly Releases $releases, private readonly ActivityLog $log)
    {
    }

    /** Drawn once: what is drawn already stays. */
    public function draw(Unit $unit, User $by): LotRow
    {
        return DB::transaction(function () use ($unit, $by): LotRow {
            $unit = Unit::query()->lockForUpdate()->findOrFail($unit->id);
            $open = LotRow::query()->where('unit_id', $unit->id)->where('verdict', 'open')->first();
            if ($open !== null) {
                return $open;
            }
            $pieces = Lots::offered($unit);
            $clause = $this->releases->of($unit)->acceptance();
            $painter = Lots::painter($unit);
            $seed = random_int(0, self::SEEDS);
            $isTightened = Lots::isTightened($painter);
            $lot = $clause === null ? null : Lot::of($clause, $pieces, $seed, $isTightened);
            if ($lot === null) {
                throw CheckRefused::nothingToSample();
            }
            $row = LotRow::query()->create([
                'unit_id' => $unit->id,
                'seed' => $seed,
                'is_tightened' => $isTightened,
                'pieces' => $pieces,
                'drawn' => $lot->drawn,
                'plans' => array_map(fn (SamplingPlan $p) => ['n' => $p->n, 'accepts' => $p->accepts], $lot->plans),
                'painter_id' => $painter,
                'drawn_by' => $by->id,
            ]);
            $this->log->write('lot.drawn', $row, null, ['seed' => $seed, 'drawn' => $lot->drawn]);

            return $row;
        });
    }

    /** After a check is ended: the unit's verdict, as soon as the sample says it. */
    public function settle(Piece $piece): void
    {
        $row = LotRow::query()->where('unit_id', $piece->unit_id)->where('verdict', 'open')->lockForUpdate()->first();
        if ($row === null || ! in_array($piece->number, $row->drawn, true)) {
            return;
        }
        $clause = $this->releases->of($piece->unit)->acceptance();
        $verdict = $row->lot()->verdict($this->found($row), $clause->limits['minor'] ?? 0);
        if ($verdict === LotVerdict::Open) {
            return;
        }
        $row->update(['verdict' => $verdict->value]);
        $this->log->write('lot.settled', $row, 'open', $verdict->value);
        // Accepted, what was not drawn passes with its unit; refused, it stays offered and each is checked.
        if ($verdict === LotVerdict::Accepted) {
            Piece::query()
                ->where('unit_id', $row->unit_id)
                ->where('stage', Stage::Offered->value)
                ->whereIn('number', array_diff($row->pieces, $row->drawn))
                ->update(['stage' => Stage::Passed->value, 'revision' => DB::raw('revision + 1')]);
        }
    }

    /**
     * @return array<int, array{critical: int, major: int, minor: int}> faults of the first check since, by number of
     *     the piece
     */
    private function found(LotRow $row): array
    {
        $found = [];
        $pieces = Piece::query()
            ->where('unit_id', $row->unit_id)
            ->whereIn('number', $row->drawn)
            ->pluck('number', 'id');
        $checks = Check::query()
            ->with('faults')
            ->whereIn('piece_id', $pieces->keys())
            ->whereNotNull('closed_at')
            ->orderBy('round')
            ->get();
        foreach ($checks as $check) {
            // A repaired piece was refused all the same.
            $found[(int) $pieces[$check->piece_id]] ??= [
                'critical' => $check->faults->where('severity', 'critical')->count(),
                'major' => $check->faults->where('severity', 'major')->count(),
                'minor' => $check->faults->where('severity', 'minor')->count(),
            ];
        }

        return $found;
    }
}
