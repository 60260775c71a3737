<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\FaultGroup;

/** Which questions a repair touches. */
final class Touched
{
    /**
     * The questions that found a fault or had no answer, covering and borders in the views of those faults, and the
     * final
     * look.
     *
     * @param  list<Question>  $questions  all that could be asked now
     * @param  list<Question>  $before  those of the last check
     * @param  list<QuestionKey>  $faulty  that found a fault
     * @param  list<QuestionKey>  $answered
     * @return list<Question>
     */
    public static function by(array $questions, array $before, array $faulty, array $answered): array
    {
        $faulty = self::ids($faulty);
        $answered = self::ids($answered);
        $known = self::ids(array_map(fn (Question $q) => $q->key, $before));
        $again = [];
        foreach ($before as $question) {
            if ($question->view !== null && isset($faulty[$question->key->id])) {
                $again += self::ids(self::cleanlinessIn($question->view));
            }
        }

        return array_values(
            array_filter($questions, function (Question $q) use ($faulty, $answered, $known, $again): bool {
                $id = $q->key->id;

                return $q->isFinalLook() ||
                    isset($faulty[$id]) ||
                    isset($again[$id]) ||
                    (isset($known[$id]) && ! isset($answered[$id]));
            }),
        );
    }

    /** @return list<QuestionKey> the questions about cover and borders in a view */
    private static function cleanlinessIn(View $view): array
    {
        return array_map(fn (?FaultGroup $g) => QuestionKey::ofFaults($g, $view), [
            null,
            FaultGroup::Cover,
            FaultGroup::Borders,
        ]);
    }

    /**
     * @param  list<QuestionKey>  $keys
     * @return array<string, true>
     */
    private static function ids(array $keys): array
    {
        return array_fill_keys(array_map(fn (QuestionKey $k) => $k->id, $keys), true);
    }
}
