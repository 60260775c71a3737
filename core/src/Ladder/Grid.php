<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/** The ladder as a table: rows by bench phase, then finish, then acceptance and minutes; a column for each tier. */
final readonly class Grid
{
    private ClauseViews $views;

    public function __construct(private Standard $standard)
    {
        $this->views = new ClauseViews($standard);
    }

    /** @return list<Tier> from the lowest rung up */
    public function tiers(): array
    {
        $tiers = $this->standard->tiers;
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);

        return $tiers;
    }

    /** @return list<Row> */
    public function rows(): array
    {
        $tiers = $this->tiers();
        $clauses = [];
        $suffixes = [];
        foreach ($tiers as $tier) {
            foreach ($this->standard->clausesOf($tier) as $clause) {
                $clauses[$tier->key][$clause->suffix()] = $clause;
                $suffixes[$clause->suffix()] ??= $clause;
            }
        }
        $rows = [];
        foreach ($suffixes as $suffix => $first) {
            $cells = [];
            $below = null;
            foreach ($tiers as $tier) {
                $clause = $clauses[$tier->key][$suffix] ?? null;
                $own = $clause !== null && in_array($clause, $tier->clauses, true);
                $asBefore = $clause !== null && $below !== null && $clause->saysTheSame($below);
                $cells[] = new Cell($tier->key, (string) $suffix, $clause, $own, $asBefore);
                // A retired rung is folded away, so nothing is compared with it.
                $below = $tier->status === TierStatus::Retired ? $below : $clause;
            }
            $rows[] = $this->row((string) $suffix, $cells, $first);
        }
        $order = array_flip(array_map(strval(...), array_keys($suffixes)));
        usort($rows, fn (Row $a, Row $b) => self::place($a, $order) <=> self::place($b, $order));

        return $rows;
    }

    /**
     * @param  list<Cell>  $cells
     * @param  Clause  $first  the lowest rung's
     */
    private function row(string $suffix, array $cells, Clause $first): Row
    {
        foreach ($cells as $cell) {
            $view = $cell->clause === null ? null : $this->views->of($cell->clause);
            if ($view !== null && $view->allows === null) {
                return new Row($suffix, $view->group, $cells);
            }
        }
        $view = $this->views->of($first);

        return new Row(
            $suffix,
            RowGroup::Allowed,
            $cells,
            $view->allows,
            $view->technique !== null && $view->technique->technique === null,
        );
    }

    /**
     * By the bench; what is merely allowed by family, the family as such first; else as the tiers have it.
     *
     * @param  array<string, int>  $order  of the suffixes
     * @return array{int, int, int, int}
     */
    private static function place(Row $row, array $order): array
    {
        return [
            (int) array_search($row->group, RowGroup::cases(), true),
            $row->family === null ? -1 : (int) array_search($row->family, Family::cases(), true),
            $row->ofWholeFamily ? 0 : 1,
            $order[$row->suffix],
        ];
    }
}
