<?php

declare(strict_types=1);

namespace App\Studio;

use Ordotype\Core\Inspection\CheckList;
use Ordotype\Core\Inspection\Question;
use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Severity;
use App\Models\Check;
use App\Models\Piece;
use App\Models\User;

/** Reads checks as they are kept. */
final class Checks
{
    /** Families whose logged steps make a piece somebody's own work. */
    public const OWN_WORK = ['spray', 'base', 'shade', 'highlight', 'blend', 'line', 'detail', 'mark', 'wear'];

    public static function painted(Piece $piece, User $user): bool
    {
        return in_array($user->id, self::painters($piece), true);
    }

    /** Whether somebody else has to look at it: they painted on it, and are not the only person in the studio. */
    public static function isOwnWork(Piece $piece, User $user): bool
    {
        return self::painted($piece, $user) && User::query()->count() > 1;
    }

    /** @return list<int> ids of those who painted on it */
    public static function painters(Piece $piece): array
    {
        return array_values(
            $piece
                ->logs()
                ->whereIn('family', self::OWN_WORK)
                ->whereNull('skipped')
                ->distinct()
                ->pluck('user_id')
                ->map(fn ($id) => (int) $id)
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    public static function written(Question $q): array
    {
        return [
            'key' => $q->key,
            'view' => $q->view?->value,
            'text' => $q->text,
            'areas' => $q->areas,
            'clauses' => $q->clauses,
            'faults' => $q->faults,
            'mandatory' => $q->mandatory,
            'severity' => $q->severity?->value,
            'notice' => $q->notice,
        ];
    }

    /** @return list<Question> */
    public static function questions(Check $check): array
    {
        return array_map(
            fn (array $q) => new Question(
                $q['key'],
                $q['view'] === null ? null : View::from($q['view']),
                $q['text'],
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

    public static function question(Check $check, string $key): ?Question
    {
        foreach (self::questions($check) as $question) {
            if ($question->key === $key) {
                return $question;
            }
        }

        return null;
    }

    /**
     * What a repair touched: the questions that found a fault or had no answer, covering and borders in their views,
     * and
     * the final look.
     *
     * @param  list<Question>  $questions
     * @return list<Question>
     */
    public static function touchedBy(array $questions, Check $last): array
    {
        $faulty = $last->faults->pluck('question')->all();
        $answered = $last->answers->pluck('question')->all();
        $known = array_column($last->questions, 'key');
        $views = array_map(fn (string $key) => substr((string) strrchr($key, ':'), 1), $faulty);

        return array_values(
            array_filter(
                $questions,
                fn (Question $q) => $q->key === CheckList::FINAL_LOOK ||
                    in_array($q->key, $faulty, true) ||
                    (in_array($q->key, $known, true) && ! in_array($q->key, $answered, true)) ||
                    ($q->view !== null &&
                        in_array($q->view->value, $views, true) &&
                        in_array(
                            $q->key,
                            [
                                "fault:any:{$q->view->value}",
                                "fault:cover:{$q->view->value}",
                                "fault:borders:{$q->view->value}",
                            ],
                            true,
                        )),
            ),
        );
    }

    public static function acceptance(Piece $piece): ?AcceptanceClause
    {
        $standard = Standards::core($piece->unit->order->version);
        foreach ($standard->clausesOf($standard->tier($piece->unit->tier)) as $clause) {
            if (
                $clause instanceof AcceptanceClause &&
                in_array($piece->unit->sculpt->role, array_map(fn ($r) => $r->value, $clause->role), true)
            ) {
                return $clause;
            }
        }

        return null;
    }

    public static function verdict(Check $check): Verdict
    {
        $faults = [];
        foreach ($check->faults()->pluck('severity') as $severity) {
            $faults[] = Severity::tryFrom((string) $severity);
        }

        return Verdict::of(
            self::questions($check),
            array_values($check->answers()->pluck('question')->map(strval(...))->all()),
            array_values(array_filter($faults, fn (?Severity $s) => $s !== null)),
            self::acceptance($check->piece),
        );
    }
}
