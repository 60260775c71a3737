<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Ladder\Row;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Standard;

/** What the rows of the ladder are called: by their result or technique, and no two of them alike. */
final readonly class RowNames
{
    private ClauseWords $words;

    public function __construct(private Standard $standard)
    {
        $this->words = new ClauseWords($standard);
    }

    /** What a clause calls its row: its label, or what it is about. */
    public function of(Clause $clause): string
    {
        return $clause->label ?? ucfirst($this->words->text($clause)->row);
    }

    /**
     * Where two rows would read the same, where each holds is said with it, then from which rung on; a number is the
     * last resort.
     *
     * @param  list<Row>  $rows
     * @return list<string>
     */
    public function all(array $rows): array
    {
        $names = array_map($this->plain(...), $rows);
        foreach ([$this->where(...), $this->from(...), fn (Row $r, int $n) => " ($n)"] as $more) {
            foreach (array_count_values($names) as $name => $times) {
                $alike = array_keys($names, (string) $name, true);
                $added = [];
                foreach ($times > 1 ? $alike : [] as $n => $i) {
                    $added[$i] = $more($rows[$i], $n + 1);
                }
                // What they all have in common tells none from another.
                foreach (count(array_unique($added)) > 1 ? $added : [] as $i => $words) {
                    $names[$i] .= $words;
                }
            }
        }

        return array_values($names);
    }

    private function plain(Row $row): string
    {
        $clauses = self::clauses($row);
        foreach ($clauses as $clause) {
            if ($clause->label !== null) {
                return $clause->label;
            }
        }

        return $clauses === [] ? 'Clause' : $this->of($clauses[0]);
    }

    private function where(Row $row): string
    {
        $clauses = self::clauses($row);
        $where = $clauses === [] ? '' : ClauseWords::where($clauses[0]);

        return $where === '' ? '' : ", $where";
    }

    private function from(Row $row): string
    {
        foreach ($row->cells as $cell) {
            if ($cell->clause !== null) {
                return ", from {$this->standard->tier($cell->tier)->name}";
            }
        }

        return '';
    }

    /** @return list<Clause> */
    private static function clauses(Row $row): array
    {
        return array_values(array_filter(array_map(fn ($cell) => $cell->clause, $row->cells)));
    }
}
