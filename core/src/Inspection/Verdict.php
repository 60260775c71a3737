<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Severity;

/**
 * Whether a piece passes: no critical and no major fault, minors within the limit, every mandatory question answered.
 */
final readonly class Verdict
{
    /**
     * @param  list<string>  $open  keys of mandatory questions without an answer
     * @param  array<string, int>  $counted  severity word to the number of faults
     */
    private function __construct(
        public bool $passes,
        public array $open,
        public array $counted,
        public int $minorLimit,
        public string $words,
    ) {
    }

    /**
     * @param  list<Question>  $questions
     * @param  list<string>  $answered  keys of questions that have an answer
     * @param  list<Severity>  $faults  those that count
     * @param  AcceptanceClause|null  $acceptance  of the sculpt's role; none: nothing at all passes
     */
    public static function of(array $questions, array $answered, array $faults, ?AcceptanceClause $acceptance): self
    {
        $open = [];
        foreach ($questions as $question) {
            if ($question->mandatory && ! in_array($question->key, $answered, true)) {
                $open[] = $question->key;
            }
        }
        $counted = ['critical' => 0, 'major' => 0, 'minor' => 0];
        foreach ($faults as $severity) {
            $counted[$severity->value]++;
        }
        $limit = $acceptance->limits['minor'] ?? 0;
        $major = $acceptance->limits['major'] ?? 0;
        $clean = $counted['critical'] === 0 && $counted['major'] <= $major && $counted['minor'] <= $limit;
        $words = match (true) {
            $counted['critical'] > 0 => self::count($counted['critical'], 'critical fault').': it cannot leave',
            $counted['major'] > $major => self::count($counted['major'], 'major fault').': back to the bench',
            $counted['minor'] > $limit => "{$counted['minor']} minor faults where $limit pass: back to the bench",
            $open !== [] => self::count(count($open), 'question').' still to answer',
            default => "Passes, {$counted['minor']} minor of $limit",
        };

        return new self($clean && $open === [], $open, $counted, $limit, $words);
    }

    private static function count(int $n, string $what): string
    {
        return "$n $what".($n === 1 ? '' : 's');
    }
}
