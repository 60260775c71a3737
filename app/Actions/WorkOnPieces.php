<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Piece;
use App\Models\StepLog;
use App\Studio\ActivityLog;
use App\Studio\BenchWork;
use App\Studio\Refusal;
use App\Studio\Standards;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** Marks steps done on pieces, takes a mark back, and offers a finished piece to the check. */
final class WorkOnPieces
{
    private const AT_WORK = ['planned', 'on_bench', 'rework'];

    /**
     * Marking a step twice changes nothing, so that a tap sent again after a lost connection does no harm.
     *
     * @param  list<int>  $pieces
     * @param  list<string>  $steps  keys
     * @return list<Piece>
     */
    public function mark(array $pieces, array $steps, ?string $skipped = null): array
    {
        return DB::transaction(function () use ($pieces, $steps, $skipped): array {
            $found = Piece::query()
                ->with(['unit.order.version'])
                ->whereIn('id', $pieces)
                ->orderBy('id')
                ->lockForUpdate()
                ->get();
            if ($found->count() !== count(array_unique($pieces))) {
                throw new Refusal('One of the pieces does not exist.', '/pieces', 404);
            }
            foreach ($found as $piece) {
                if (! in_array($piece->stage, self::AT_WORK, true)) {
                    throw new Refusal(
                        "Model $piece->number ($piece->code) is not on the bench: it is ".
                            str_replace('_', ' ', $piece->stage).
                            '.',
                        '/pieces',
                        409,
                    );
                }
                $wanted = BenchWork::wanted($piece);
                $ofUnit = BenchWork::ofUnit($piece->unit);
                $standard = Standards::core($piece->unit->order->version);
                $there = $piece->logs()->pluck('step')->flip();
                $rows = [];
                foreach (array_unique($steps) as $step) {
                    if (! isset($wanted[$step]) && isset($ofUnit[$step])) {
                        continue; // others of the unit get it, this piece does not
                    }
                    if (! isset($wanted[$step])) {
                        throw new Refusal("\"$step\" is not a step of model $piece->number.", '/steps');
                    }
                    if (! $there->has($step)) {
                        $rows[] = [
                            'piece_id' => $piece->id,
                            'step' => $step,
                            'technique' => $wanted[$step]['technique'],
                            'family' => $standard->technique($wanted[$step]['technique'])->family->value,
                            'area' => $wanted[$step]['area'],
                            'minutes' => round($wanted[$step]['minutes'], 2),
                            'skipped' => $skipped,
                            'user_id' => Auth::id(),
                            'done_at' => now(),
                        ];
                    }
                }
                StepLog::query()->insert($rows);
                if ($piece->stage === 'planned' && $rows !== []) {
                    $this->move($piece, 'on_bench');
                }
            }

            return array_values($found->all());
        });
    }

    /** Takes back a mark of one's own (a lead: of anyone). */
    public function unmark(Piece $piece, string $step): Piece
    {
        return DB::transaction(function () use ($piece, $step): Piece {
            $piece = Piece::query()->lockForUpdate()->findOrFail($piece->id);
            if (! in_array($piece->stage, self::AT_WORK, true)) {
                throw new Refusal("Model $piece->number is not on the bench any more.", '', 409);
            }
            $log = $piece->logs()->where('step', $step)->firstOrFail();
            ActivityLog::write('step.taken_back', $piece, $log->toArray(), null);
            $log->delete();
            if ($piece->stage === 'on_bench' && ! $piece->logs()->exists()) {
                $this->move($piece, 'planned');
            }

            return $piece;
        });
    }

    public function offer(Piece $piece): Piece
    {
        return DB::transaction(function () use ($piece): Piece {
            $piece = Piece::query()->with('unit.order.version')->lockForUpdate()->findOrFail($piece->id);
            if (! in_array($piece->stage, ['on_bench', 'rework'], true)) {
                throw new Refusal(
                    "Model $piece->number is not being worked on: it is ".
                        str_replace('_', ' ', $piece->stage).
                        '.',
                    '',
                    409,
                );
            }
            $missing = array_diff(array_keys(BenchWork::wanted($piece)), $piece->logs()->pluck('step')->all());
            if ($missing !== []) {
                throw new Refusal(
                    count($missing).
                        ' steps are still to be done or left out with a reason, first: '.
                        array_values($missing)[0].
                        '.',
                    '/steps',
                    409,
                );
            }
            $this->move($piece, 'offered');

            return $piece;
        });
    }

    private function move(Piece $piece, string $stage): void
    {
        $before = $piece->stage;
        $piece->update(['stage' => $stage, 'revision' => $piece->revision + 1]);
        ActivityLog::write('piece.moved', $piece, ['stage' => $before], ['stage' => $stage]);
    }
}
