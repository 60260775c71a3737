<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Check;
use App\Models\Piece;
use App\Models\User;
use App\Repositories\Releases;
use Ordotype\Core\Bench\OwnWork;
use Ordotype\Core\Inspection\Question;
use Ordotype\Core\Inspection\QuestionKey;
use Ordotype\Core\Inspection\Touched;
use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Words\CheckWords;

/** Reads checks as they are kept. */
final class Checks
{
    public function __construct(private readonly Releases $releases)
    {
    }

    public function painted(Piece $piece, User $user): bool
    {
        return in_array($user->id, $this->painters($piece), true);
    }

    /** Whether somebody else has to look at it: they painted on it, and are not the only person in the studio. */
    public function isOwnWork(Piece $piece, User $user): bool
    {
        return $this->painted($piece, $user) && ! $user->isAlone();
    }

    /** @return list<string> families whose logged steps make a piece somebody's own work */
    public function ownFamilies(): array
    {
        return array_map(fn (Family $f) => $f->value, OwnWork::families());
    }

    /** @return list<int> ids of those who painted on it */
    public function painters(Piece $piece): array
    {
        return array_values(
            $piece
                ->logs()
                ->whereIn('family', $this->ownFamilies())
                ->whereNull('skipped')
                ->distinct()
                ->pluck('user_id')
                ->map(fn ($id) => (int) $id)
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    public function written(Question $q, CheckWords $words): array
    {
        return [
            'key' => $q->key->id,
            'view' => $q->view?->value,
            'text' => $words->question($q),
            'areas' => $q->areas,
            'clauses' => $q->clauses,
            'faults' => $q->faults,
            'mandatory' => $q->mandatory,
            'severity' => $q->severity?->value,
            'notice' => $q->notice,
        ];
    }

    /** @return list<Question> as the check was opened with them, without what was asked one by one */
    public function questions(Check $check): array
    {
        return array_map(
            fn (array $q) => new Question(
                QuestionKey::kept($q['key']),
                $q['view'] === null ? null : View::from($q['view']),
                $q['areas'],
                $q['clauses'],
                $q['faults'],
                $q['mandatory'],
                $q['severity'] === null ? null : Severity::from($q['severity']),
                $q['notice'],
            ),
            $check->questions,
        );
    }

    public function question(Check $check, string $key): ?Question
    {
        foreach ($this->questions($check) as $question) {
            if ($question->key->id === $key) {
                return $question;
            }
        }

        return null;
    }

    /**
     * What a repair touched.
     *
     * @param  list<Question>  $questions
     * @return list<Question>
     */
    public function touchedBy(array $questions, Check $last): array
    {
        $keys = fn (array $ids): array => array_map(fn ($id) => QuestionKey::kept((string) $id), array_values($ids));

        return Touched::by(
            $questions,
            $this->questions($last),
            $keys($last->faults->pluck('question')->all()),
            $keys($last->answers->pluck('question')->all()),
        );
    }

    public function verdict(Check $check): Verdict
    {
        $faults = [];
        foreach ($check->faults()->pluck('severity') as $severity) {
            $faults[] = Severity::tryFrom((string) $severity);
        }

        return Verdict::of(
            $this->questions($check),
            array_values($check->answers()->pluck('question')->map(fn ($q) => QuestionKey::kept((string) $q))->all()),
            array_values(array_filter($faults, fn (?Severity $s) => $s !== null)),
            $this->releases->ofCheck($check)->acceptance(),
        );
    }
}
