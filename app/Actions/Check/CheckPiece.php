<?php

declare(strict_types=1);

namespace App\Actions\Check;

use App\Exceptions\BenchRefused;
use App\Exceptions\CheckRefused;
use App\Exceptions\RequestRefused;
use App\Models\Answer;
use App\Models\Check;
use App\Models\Piece;
use App\Models\User;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\Checks;
use App\Studio\Concession;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Words\CheckWords;

/**
 * One check of one piece: opened with its looks, answered, and closed with a verdict.
 *
 * @phpstan-import-type Found from JudgeFaults
 */
final class CheckPiece
{
    public function __construct(
        private readonly Releases $releases,
        private readonly JudgeFaults $faults,
        private readonly SampleUnit $sample,
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
                if ($open->isFreeFor($by) && ! $this->checks->isOwnWork($piece, $by)) {
                    $open->hold($by);
                }

                return $open;
            }
            if ($piece->stage !== 'offered') {
                throw CheckRefused::notOffered($piece);
            }
            if ($this->checks->isOwnWork($piece, $by)) {
                throw CheckRefused::ownWork($piece);
            }
            $row = $this->releases->rowOf($piece->unit) ?? throw BenchRefused::notReleased($piece->unit);
            $release = $this->releases->read($row);
            $questions = $this->checks->asking($piece, $release);
            $words = new CheckWords($release->request->standard);
            $check = Check::query()->create([
                'piece_id' => $piece->id,
                'round' => 1 + (int) $piece->checks()->max('round'),
                'standard_version_id' => $piece->unit->order->standard_version_id,
                'release_id' => $row->id,
                'opened_by' => $by->id,
                ...Check::heldBy($by),
                'questions' => array_map(fn (Checkpoint $q) => $this->checks->written($q, $words), $questions),
            ]);
            $this->log->write('check.opened', $check, null, ['piece' => $piece->code, 'round' => $check->round]);

            return $check;
        });
    }

    /**
     * One line. Two faults that are alike are two: what is sent twice is told by its key, before it comes here.
     *
     * @param  list<Found>  $faults  for the answer fault: those that are found now
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
            $check = $this->locked($check, $by);
            $asked = $this->checks->question($check, $question) ?? throw CheckRefused::notAsked($question);
            if ($answer === 'fault' && $faults === []) {
                throw CheckRefused::noFaultNamed();
            }
            self::wantsReason($answer, $note);
            if ($answer !== 'fault' && $check->faults()->where('question', $question)->exists()) {
                throw CheckRefused::faultStays($question);
            }
            $this->write($check, $by, [$question], $answer, $note, null);
            foreach ($answer === 'fault' ? $faults : [] as $i => $found) {
                $this->faults->note($check, $by, $asked, $found, "/faults/$i");
            }

            return $check;
        });
    }

    /** One answer to all of a look that is still open: what was answered by itself, and every fault, stays. */
    public function answerLook(Check $check, User $by, string $look, string $answer, ?string $note): Check
    {
        return DB::transaction(function () use ($check, $by, $look, $answer, $note): Check {
            $check = $this->locked($check, $by);
            $of = array_filter($this->checks->questions($check), fn (Checkpoint $c) => Checks::look($c) === $look);
            if ($of === []) {
                throw CheckRefused::notAsked($look);
            }
            self::wantsReason($answer, $note);
            $answered = $check->answers()->pluck('question')->all();
            $open = array_diff(array_map(fn (Checkpoint $c) => $c->key->id, array_values($of)), $answered);
            $this->write($check, $by, array_values($open), $answer, $note, $look);

            return $check;
        });
    }

    private static function wantsReason(string $answer, ?string $note): void
    {
        if ($answer === 'not_applicable' && trim((string) $note) === '') {
            throw RequestRefused::reasonMissing('/note', 'Say why it does not apply.');
        }
    }

    /** @param  list<string>  $questions  keys */
    private function write(
        Check $check,
        User $by,
        array $questions,
        string $answer,
        ?string $note,
        ?string $look,
    ): void {
        $before = $check->answers()->whereIn('question', $questions)->pluck('answer', 'question');
        $check->answers()->whereIn('question', $questions)->delete();
        foreach ($questions as $question) {
            Answer::query()->create([
                'check_id' => $check->id,
                'question' => $question,
                'answer' => $answer,
                'note' => $note,
                'look' => $look,
                'user_id' => $by->id,
                'answered_at' => now(),
            ]);
            $this->log->write(
                'check.answered',
                $check,
                $before[$question] ?? null,
                ['question' => $question, 'answer' => $answer],
            );
        }
        $check->update(['revision' => $check->revision + 1]);
    }

    /** Takes a check over that somebody else holds. */
    public function takeOver(Check $check, User $by): Check
    {
        return DB::transaction(function () use ($check, $by): Check {
            $check = Check::query()->with('piece')->lockForUpdate()->findOrFail($check->id);
            if ($check->closed_at !== null) {
                throw CheckRefused::closed();
            }
            if ($this->checks->isOwnWork($check->piece, $by)) {
                throw CheckRefused::ownWork($check->piece);
            }
            $this->log->write('check.taken_over', $check, $check->held_by, $by->id);
            $check->hold($by);

            return $check;
        });
    }

    /** A lead's word on how much a fault counts. */
    public function overrule(Check $check, int $fault, User $by, string $severity, string $reason): Check
    {
        return DB::transaction(function () use ($check, $fault, $by, $severity, $reason): Check {
            $check = $this->locked($check, $by);
            $this->faults->overrule($check->faults()->whereKey($fault)->firstOrFail(), $by, $severity, $reason);
            $check->update(['revision' => $check->revision + 1]);

            return $check;
        });
    }

    /** Takes a fault away that was noted by mistake; the question is open again when it was the last of it. */
    public function takeAway(Check $check, int $fault, User $by): Check
    {
        return DB::transaction(function () use ($check, $fault, $by): Check {
            $check = $this->locked($check, $by);
            $row = $check->faults()->whereKey($fault)->firstOrFail();
            $this->log->write('check.fault_taken_away', $check, $row->toArray(), null);
            $row->delete();
            if (! $check->faults()->where('question', $row->question)->exists()) {
                $check->answers()->where('question', $row->question)->delete();
            }
            $check->update(['revision' => $check->revision + 1]);

            return $check;
        });
    }

    /** @param  string|null  $consent  who agreed for the client to what is accepted as it is, and how */
    public function close(Check $check, User $by, string $verdict, ?string $reason, ?string $consent = null): Check
    {
        return DB::transaction(function () use ($check, $by, $verdict, $reason, $consent): Check {
            $check = $this->locked($check, $by);
            $piece = $check->piece;
            $state = $this->checks->verdict($check);
            $consent ??= self::saidByLink($check);
            if ($verdict === 'passed' && ! $state->passes) {
                throw CheckRefused::doesNotPass($state);
            }
            if (
                $verdict === 'rework' &&
                $check
                    ->faults()
                    ->whereIn('severity', ['critical', 'major', 'minor'])
                    ->doesntExist()
            ) {
                throw CheckRefused::nothingToRepair();
            }
            if ($verdict === 'accepted') {
                $this->mayAccept($check, $by, $reason, $consent);
            }
            $check->update([
                'verdict' => $verdict,
                'reason' => $reason,
                'consent' => $verdict === 'accepted' ? $consent : null,
                'held_by' => null,
                'held_until' => null,
                'closed_by' => $by->id,
                'closed_at' => now(),
                'revision' => $check->revision + 1,
            ]);
            $piece->update([
                'stage' => $verdict === 'rework' ? 'rework' : 'passed',
                'revision' => $piece->revision + 1,
            ]);
            $this->sample->settle($piece);
            $this->log->write('check.closed', $check, null, [
                'piece' => $piece->code,
                'verdict' => $verdict,
                'reason' => $reason,
            ]);

            return $check;
        });
    }

    /** What the client said by a link to just these faults, where they agreed. */
    private static function saidByLink(Check $check): ?string
    {
        $said = Concession::said($check);

        return $said === null || ! $said['agrees'] ? null : "{$said['name']}, by the link, {$said['at']}";
    }

    private function mayAccept(Check $check, User $by, ?string $reason, ?string $consent): void
    {
        if (! $by->may_sign) {
            throw CheckRefused::mayNotConcede();
        }
        if (trim((string) $reason) === '') {
            throw RequestRefused::reasonMissing('/reason', 'Say why it is accepted as it is.');
        }
        if ($check->faults()->where('severity', 'critical')->exists()) {
            throw CheckRefused::criticalFaultStays();
        }
        if ($this->checks->verdict($check)->open !== []) {
            throw CheckRefused::questionsOpen();
        }
        if ($this->checks->wantsConsent($check) && trim((string) $consent) === '') {
            throw RequestRefused::reasonMissing(
                '/consent',
                'At this tier the client has to agree to it: note who agreed, when and how.',
            );
        }
    }

    private function locked(Check $check, User $by): Check
    {
        $check = Check::query()
            ->with(['piece.unit.order.version', 'piece.unit.order.scheme', 'piece.unit.sculpt', 'holder'])
            ->lockForUpdate()
            ->findOrFail($check->id);
        if ($check->closed_at !== null) {
            throw CheckRefused::closed();
        }
        // A piece on hold, lost or cancelled in the meantime is neither answered for nor passed.
        $piece = Piece::query()->lockForUpdate()->findOrFail($check->piece_id);
        if ($piece->stage !== Stage::Offered->value) {
            throw CheckRefused::notOffered($piece);
        }
        if ($this->checks->isOwnWork($piece, $by)) {
            throw CheckRefused::ownWork($piece);
        }
        if (! $check->isFreeFor($by)) {
            throw CheckRefused::heldByAnother((string) $check->holder?->name);
        }
        $check->hold($by);

        return $check;
    }
}
