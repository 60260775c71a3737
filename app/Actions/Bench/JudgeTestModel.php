<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Actions\Schemes\EditScheme;
use App\Exceptions\GateRefused;
use App\Exceptions\RequestRefused;
use App\Models\GateAnswer;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\BenchWork;
use App\Studio\GateKeeper;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Words\Terms;

/**
 * Says how a unit's test model came out: the scheme it is painted in is settled by it, or rejected, and then the rest
 * of the unit waits.
 */
final class JudgeTestModel
{
    public function __construct(
        private readonly Releases $releases,
        private readonly EditScheme $schemes,
        private readonly ActivityLog $log,
    ) {
    }

    public function __invoke(Unit $unit, User $by, bool $passed, ?string $note): void
    {
        if (! $passed && trim((string) $note) === '') {
            throw RequestRefused::reasonMissing('/note', 'Say what is wrong with it.');
        }
        DB::transaction(function () use ($unit, $by, $passed, $note): void {
            $unit = Unit::query()->with('order.scheme')->lockForUpdate()->findOrFail($unit->id);
            $piece = Piece::query()
                ->with(['unit', ...BenchWork::OF_PIECES])
                ->find($unit->test_piece_id) ?? throw GateRefused::noTestModel();
            if (! GateKeeper::isPainted($piece, $this->releases->of($unit))) {
                throw GateRefused::notThere($piece, Terms::gate(Gate::TestModel));
            }
            if ($passed) {
                $this->catchUp($unit);
            }
            $last = GateKeeper::said([$piece->id])[$piece->id][Gate::TestModel->value] ?? null;
            // Pressed twice, it is said once; of colours that nobody judged yet the same can be said again.
            $isSaid = $last !== null && $last->passed === $passed && $last->note === $note;
            if ($isSaid && ! $this->isUnjudged($unit)) {
                return;
            }
            GateAnswer::query()->create([
                'piece_id' => $piece->id,
                'gate' => Gate::TestModel->value,
                'passed' => $passed,
                'note' => $note,
                'user_id' => $by->id,
                'answered_at' => now(),
            ]);
            $this->scheme($unit, $piece, $passed, $note);
            $this->log->write('gate.answered', $unit, null, [
                'gate' => Gate::TestModel->value,
                'passed' => $passed,
                'pieces' => [$piece->code],
            ]);
        });
    }

    /**
     * Colours that were rejected and never changed can be accepted after all: it is the newest version that then
     * stands. Where they were changed, the model shows colours that nobody wants any more.
     */
    private function catchUp(Unit $unit): void
    {
        $scheme = $unit->order->scheme;
        if ($scheme === null || $scheme->number === $unit->scheme_number) {
            return;
        }
        $painted = $scheme->versions()->where('number', $unit->scheme_number)->firstOrFail();
        if ($painted->outcome === 'rejected' && $painted->document !== $this->schemes->current($scheme)->document) {
            throw GateRefused::coloursWereRejected();
        }
        if ($painted->outcome === 'rejected') {
            $unit->update(['scheme_number' => $scheme->number]);
        }
    }

    /** Colours that were changed since it was painted are not judged by it. */
    private function scheme(Unit $unit, Piece $piece, bool $passed, ?string $note): void
    {
        $scheme = $unit->order->scheme;
        if ($scheme === null || $scheme->number !== $unit->scheme_number) {
            return;
        }
        if (! $passed || $this->isUnjudged($unit)) {
            $this->schemes->judge($scheme, $passed, $note, $piece);
        }
    }

    private function isUnjudged(Unit $unit): bool
    {
        $scheme = $unit->order->scheme;

        return $scheme !== null &&
            $scheme->number === $unit->scheme_number &&
            $this->schemes->current($scheme)->outcome === 'untried';
    }
}
