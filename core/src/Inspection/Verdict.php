<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\PhotographsWanted;
use Ordotype\Core\Standard\Severity;

/**
 * Whether a piece passes: no critical and no major fault, minors within the limit, every mandatory question answered,
 * looked at from every view that the tier names, and photographed where it wants that.
 */
final readonly class Verdict
{
    /**
     * @param  list<CheckpointKey>  $open  mandatory questions without an answer, and the first one of a view that was
     *     not looked at
     * @param  array<string, int>  $counted  severity word to the number of faults
     * @param  list<View>  $unphotographed  views that the tier wants photographed, and are not
     */
    private function __construct(
        public bool $passes,
        public array $open,
        public array $counted,
        public int $minorLimit,
        public int $majorLimit,
        public array $unphotographed = [],
    ) {
    }

    /**
     * @param  list<Checkpoint>  $questions
     * @param  list<CheckpointKey>  $answered  questions that have an answer
     * @param  list<Severity>  $faults  those that count
     * @param  AcceptanceClause|null  $acceptance  of the sculpt's role; none: nothing at all passes
     * @param  list<View>  $photographed  from which there is a photograph, drawn pictures apart
     */
    public static function of(
        array $questions,
        array $answered,
        array $faults,
        ?AcceptanceClause $acceptance,
        array $photographed = [],
    ): self {
        $done = array_fill_keys(array_map(fn (CheckpointKey $k) => $k->id, $answered), true);
        $open = [];
        foreach ($questions as $question) {
            if ($question->mandatory && ! isset($done[$question->key->id])) {
                $open[] = $question->key;
            }
        }
        foreach ($acceptance->views ?? [] as $view) {
            $there = array_values(array_filter($questions, fn (Checkpoint $c) => $c->view === $view));
            $isSeen = array_filter($there, fn (Checkpoint $c) => isset($done[$c->key->id])) !== [];
            if ($there !== [] && ! $isSeen && array_filter($there, fn (Checkpoint $c) => $c->mandatory) === []) {
                $open[] = $there[0]->key;
            }
        }
        $counted = ['critical' => 0, 'major' => 0, 'minor' => 0];
        foreach ($faults as $severity) {
            $counted[$severity->value]++;
        }
        $minor = $acceptance->limits['minor'] ?? 0;
        $major = $acceptance->limits['major'] ?? 0;
        $clean = $counted['critical'] === 0 && $counted['major'] <= $major && $counted['minor'] <= $minor;

        $wanted = $acceptance?->photographs === PhotographsWanted::Required ? $acceptance->views : [];
        $missing = array_values(array_filter($wanted, fn (View $v) => ! in_array($v, $photographed, true)));

        return new self($clean && $open === [] && $missing === [], $open, $counted, $minor, $major, $missing);
    }
}
