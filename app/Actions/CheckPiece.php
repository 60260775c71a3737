<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\AreaNotAskedFor;
use App\Exceptions\CheckClosed;
use App\Exceptions\CriticalFaultStays;
use App\Exceptions\DoesNotPass;
use App\Exceptions\FaultNotAskedFor;
use App\Exceptions\FaultStays;
use App\Exceptions\MayNotConcede;
use App\Exceptions\NoAreaNamed;
use App\Exceptions\NoFaultNamed;
use App\Exceptions\NotAsked;
use App\Exceptions\NothingToRepair;
use App\Exceptions\NotOffered;
use App\Exceptions\NotReleased;
use App\Exceptions\OwnWork;
use App\Exceptions\QuestionsOpen;
use App\Exceptions\ReasonMissing;
use App\Models\Answer;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\Piece;
use App\Models\User;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\BenchWork;
use App\Studio\Checks;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Inspection\CheckList;
use Ordotype\Core\Inspection\FaultContrast;
use Ordotype\Core\Inspection\Judgement;
use Ordotype\Core\Inspection\Question;
use Ordotype\Core\Inspection\Repair;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Words\CheckWords;

/** One check of one piece: opened with its questions, answered, and closed with a verdict. */
final class CheckPiece
{
    public function __construct(
        private readonly Releases $releases,
        private readonly BenchWork $work,
        private readonly Checks $checks,
        private readonly ActivityLog $log,
    ) {
    }

    /** The open check of an offered piece; a new one asks everything, or after a repair only what that touched. */
    public function open(Piece $piece, User $by): Check
    {
        return DB::transaction(function () use ($piece, $by): Check {
            $piece = Piece::query()
                ->with(['unit.order.version', 'unit.order.scheme', 'unit.sculpt'])
                ->lockForUpdate()
                ->findOrFail($piece->id);
            $open = $piece->checks()->whereNull('closed_at')->first();
            if ($open !== null) {
                return $open;
            }
            if ($piece->stage !== 'offered') {
                throw new NotOffered($piece);
            }
            if ($this->checks->isOwnWork($piece, $by)) {
                throw new OwnWork($piece);
            }
            $last = $piece
                ->checks()
                ->with(['faults', 'answers'])
                ->whereNotNull('closed_at')
                ->orderByDesc('round')
                ->first();
            $row = $this->releases->rowOf($piece->unit) ?? throw new NotReleased($piece->unit);
            $release = $this->releases->read($row);
            $questions = (new CheckList($release->kindOf($piece->number)->plan, $release->faults))->questions();
            if ($last !== null && $last->verdict === 'rework') {
                $questions = $this->checks->touchedBy($questions, $last);
            }
            $words = new CheckWords($release->request->standard);
            $check = Check::query()->create([
                'piece_id' => $piece->id,
                'round' => ($last->round ?? 0) + 1,
                'standard_version_id' => $piece->unit->order->standard_version_id,
                'release_id' => $row->id,
                'opened_by' => $by->id,
                'questions' => array_map(fn (Question $q) => $this->checks->written($q, $words), $questions),
            ]);
            $this->log->write('check.opened', $check, null, ['piece' => $piece->code, 'round' => $check->round]);

            return $check;
        });
    }

    /**
     * @param  list<array{fault: string, area: string|null, spread: string, size_mm: float|null}>  $faults  for the
     *     answer fault
     */
    public function answer(
        Check $check,
        User $by,
        string $question,
        string $answer,
        ?string $note,
        array $faults,
    ): Check {
        return DB::transaction(function () use ($check, $by, $question, $answer, $note, $faults): Check {
            $check = $this->locked($check);
            $asked = $this->checks->question($check, $question) ?? throw new NotAsked($question);
            if ($this->checks->isOwnWork($check->piece, $by)) {
                throw new OwnWork($check->piece);
            }
            if ($answer === 'fault' && $faults === []) {
                throw new NoFaultNamed();
            }
            if ($answer === 'not_applicable' && trim((string) $note) === '') {
                throw new ReasonMissing('/note', 'Say why it does not apply.');
            }
            $there = $check->faults()->where('question', $question)->get();
            if ($answer !== 'fault' && $there->isNotEmpty()) {
                throw new FaultStays($question);
            }
            $before = $check->answers()->where('question', $question)->first()?->answer;
            $check->answers()->where('question', $question)->delete();
            Answer::query()->create([
                'check_id' => $check->id,
                'question' => $question,
                'answer' => $answer,
                'note' => $note,
                'user_id' => $by->id,
                'answered_at' => now(),
            ]);
            foreach ($answer === 'fault' ? $faults : [] as $i => $found) {
                // Sent twice, a fault is noted once.
                if (
                    ! $there->contains(fn (FaultRow $f) => [$f->fault, $f->area] === [$found['fault'], $found['area']])
                ) {
                    $this->find($check, $by, $asked, $found, $i);
                }
            }
            $check->update(['revision' => $check->revision + 1]);
            $this->log->write('check.answered', $check, $before, ['question' => $question, 'answer' => $answer]);

            return $check;
        });
    }

    /** Takes a fault away that was noted by mistake; the question is open again when it was the last of it. */
    public function takeAway(Check $check, int $fault, User $by): Check
    {
        return DB::transaction(function () use ($check, $fault, $by): Check {
            $check = $this->locked($check);
            $row = $check->faults()->whereKey($fault)->firstOrFail();
            if ($this->checks->isOwnWork($check->piece, $by)) {
                throw new OwnWork($check->piece);
            }
            $this->log->write('check.fault_taken_away', $check, $row->toArray(), null);
            $row->delete();
            if (! $check->faults()->where('question', $row->question)->exists()) {
                $check->answers()->where('question', $row->question)->delete();
            }
            $check->update(['revision' => $check->revision + 1]);

            return $check;
        });
    }

    public function close(Check $check, User $by, string $verdict, ?string $reason): Check
    {
        return DB::transaction(function () use ($check, $by, $verdict, $reason): Check {
            $check = $this->locked($check);
            $piece = $check->piece;
            $state = $this->checks->verdict($check);
            if ($this->checks->isOwnWork($piece, $by)) {
                throw new OwnWork($piece);
            }
            if ($verdict === 'passed' && ! $state->passes) {
                throw new DoesNotPass($state);
            }
            if (
                $verdict === 'rework' &&
                $check
                    ->faults()
                    ->whereIn('severity', ['critical', 'major', 'minor'])
                    ->doesntExist()
            ) {
                throw new NothingToRepair();
            }
            if ($verdict === 'accepted') {
                $this->mayAccept($check, $by, $reason);
            }
            $check->update([
                'verdict' => $verdict,
                'reason' => $reason,
                'closed_by' => $by->id,
                'closed_at' => now(),
                'revision' => $check->revision + 1,
            ]);
            $piece->update([
                'stage' => $verdict === 'rework' ? 'rework' : 'passed',
                'revision' => $piece->revision + 1,
            ]);
            $this->log->write('check.closed', $check, null, [
                'piece' => $piece->code,
                'verdict' => $verdict,
                'reason' => $reason,
            ]);

            return $check;
        });
    }

    private function mayAccept(Check $check, User $by, ?string $reason): void
    {
        if (! $by->may_sign) {
            throw new MayNotConcede();
        }
        if (trim((string) $reason) === '') {
            throw new ReasonMissing('/reason', 'Say why it is accepted as it is.');
        }
        if ($check->faults()->where('severity', 'critical')->exists()) {
            throw new CriticalFaultStays();
        }
        if ($this->checks->verdict($check)->open !== []) {
            throw new QuestionsOpen();
        }
    }

    /** @param  array{fault: string, area: string|null, spread: string, size_mm: float|null}  $found */
    private function find(Check $check, User $by, Question $asked, array $found, int $i): void
    {
        $release = $this->releases->ofCheck($check);
        $plan = $release->kindOf($check->piece->number)->plan;
        $kind = $release->faults->kinds[$found['fault']] ?? null;
        if ($kind === null || ! in_array($found['fault'], $asked->faults, true)) {
            $name = $kind === null ? 'That' : "“{$kind->name}”";
            throw new FaultNotAskedFor($name, "/faults/$i/fault");
        }
        if ($found['area'] !== null && ! in_array($found['area'], $asked->areas, true)) {
            throw new AreaNotAskedFor($found['area'], "/faults/$i/area");
        }
        if ($found['area'] === null && $kind->where !== 'whole') {
            throw new NoAreaNamed("/faults/$i/area");
        }
        $area = $found['area'] === null ? null : $plan->request->sculpt->area($found['area']);
        $spread = Spread::from($found['spread']);
        $judged = Judgement::of(
            $kind,
            $plan->request->tier,
            $plan->request->sculpt,
            $area,
            $plan->request->method,
            $asked->severity,
            $spread,
            $found['size_mm'],
            FaultContrast::of($kind, $area, $plan->request),
        );
        $repair = (new Repair($plan))->of($kind, $area, $spread, $this->work->isVarnished($check->piece));
        FaultRow::query()->create([
            'check_id' => $check->id,
            'question' => $asked->key->id,
            'fault' => $kind->key,
            'area' => $found['area'],
            'spread' => $spread->value,
            'size_mm' => $found['size_mm'],
            'severity' => $judged->severity->value ?? 'note',
            'why' => CheckWords::judgement($judged),
            'user_id' => $by->id,
            'repair' => array_map(
                fn (RepairStep $s) => [
                    'technique' => $s->technique->key,
                    'area' => $s->area?->key,
                    'minutes' => round($s->minutes, 2),
                    'why' => CheckWords::repair($s, $kind),
                ],
                $repair,
            ),
        ]);
    }

    private function locked(Check $check): Check
    {
        $check = Check::query()
            ->with(['piece.unit.order.version', 'piece.unit.order.scheme', 'piece.unit.sculpt'])
            ->lockForUpdate()
            ->findOrFail($check->id);
        if ($check->closed_at !== null) {
            throw new CheckClosed();
        }
        // A piece on hold, lost or cancelled in the meantime is neither answered for nor passed.
        $piece = Piece::query()->lockForUpdate()->findOrFail($check->piece_id);
        if ($piece->stage !== Stage::Offered->value) {
            throw new NotOffered($piece);
        }

        return $check;
    }
}
