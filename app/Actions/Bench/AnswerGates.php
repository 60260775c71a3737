<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\BenchRefused;
use App\Exceptions\GateRefused;
use App\Exceptions\RequestRefused;
use App\Jobs\FollowBatch;
use App\Models\GateAnswer;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\BenchWork;
use App\Studio\GateKeeper;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Planning\Sequencing\GateStanding;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Words\Terms;

/** Lets models of a unit past a gate, or keeps them there. */
final class AnswerGates
{
    public function __construct(private readonly Releases $releases, private readonly ActivityLog $log)
    {
    }

    /** @param  list<int>  $pieces  ids, of the unit */
    public function answer(Unit $unit, User $by, Gate $gate, array $pieces, bool $passed, ?string $note): void
    {
        if (! $passed && trim((string) $note) === '') {
            throw RequestRefused::reasonMissing('/note', 'Say what keeps it there.');
        }
        DB::transaction(function () use ($unit, $by, $gate, $pieces, $passed, $note): void {
            $found = Piece::query()
                ->with(['unit', ...BenchWork::OF_PIECES])
                ->where('unit_id', $unit->id)
                ->whereIn('id', $pieces)
                ->orderBy('number')
                ->lockForUpdate()
                ->get();
            if ($found->isEmpty() || $found->count() !== count(array_unique($pieces))) {
                throw BenchRefused::noSuchPieces();
            }
            $release = $this->releases->of($unit);
            $gates = GateKeeper::of($release);
            $said = GateKeeper::said($pieces);
            foreach ($found as $piece) {
                $isThere = in_array($gate, $gates->all(), true) &&
                    GateKeeper::standing($gates, $gate, $piece, $release) === GateStanding::At;
                if (! $isThere) {
                    throw GateRefused::notThere($piece, Terms::gate($gate));
                }
                $last = $said[$piece->id][$gate->value] ?? null;
                // Pressed twice, it is said once.
                if ($last === null || $last->passed !== $passed || $last->note !== $note) {
                    GateAnswer::query()->create([
                        'piece_id' => $piece->id,
                        'gate' => $gate->value,
                        'passed' => $passed,
                        'note' => $note,
                        'user_id' => $by->id,
                        'answered_at' => now(),
                    ]);
                }
            }
            FollowBatch::ofPieces($found);
            $this->log->write('gate.answered', $unit, null, [
                'gate' => $gate->value,
                'passed' => $passed,
                'pieces' => $found->pluck('code')->all(),
            ]);
        });
    }
}
