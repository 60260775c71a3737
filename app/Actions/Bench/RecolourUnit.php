<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\BenchRefused;
use App\Exceptions\SchemeRefused;
use App\Models\StepLog;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\GateKeeper;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Gate;

/**
 * Takes the scheme's newest colours over for a unit that is on the bench: what was painted in the old ones is painted
 * again; what lies under the colours stays.
 */
final class RecolourUnit
{
    public function __construct(
        private readonly NextRelease $next,
        private readonly Releases $releases,
        private readonly ActivityLog $log,
    ) {
    }

    public function __invoke(Unit $unit, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $revision): Unit {
            $unit = $this->next->locked($unit, $revision) ?? throw BenchRefused::notReleased($unit);
            NextRelease::noneSigned($unit->standing());
            $scheme = $unit->order->scheme;
            if ($scheme === null || $scheme->number <= (int) $unit->scheme_number) {
                throw BenchRefused::noNewerColours();
            }
            if ($scheme->isStillRejected()) {
                throw SchemeRefused::testModelRejected($scheme);
            }
            $before = $unit->scheme_number;
            $release = $this->releases->of($unit);
            $gates = GateKeeper::of($release);
            $places = array_flip(array_keys($release->steps()));
            $unit->update(['scheme_number' => $scheme->number]);
            $unit = $this->next->keep(
                $unit,
                // Steps of a repair are none of the release's; they lie on the paint, or go with it.
                fn (StepLog $log) => isset($places[$log->step])
                    ? $gates->isBeyond(Gate::TestModel, $places[$log->step])
                    : ! Family::from($log->family)->isUnderColour(),
            );
            $this->log->write('unit.recoloured', $unit, $before, $scheme->number);

            return $unit->refresh();
        });
    }
}
