<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Ladder\Cell;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\ClauseWords;
use Ordotype\Core\Words\RowNames;

/** The ladder as CSV (RFC 4180): a line for each row, a column for each tier, in full words. */
final class LadderCsv
{
    public static function of(Standard $standard): string
    {
        $grid = new Grid($standard);
        $clauses = new ClauseWords($standard);
        $lines = [['group', 'row', ...array_map(fn ($t) => $t->name, $grid->tiers())]];
        $rows = $grid->rows();
        $names = (new RowNames($standard))->all($rows);
        foreach ($rows as $i => $row) {
            $words = array_map(fn (Cell $c) => $c->clause === null ? '' : $clauses->sentence($c->clause), $row->cells);
            $lines[] = [$row->group->value, $names[$i], ...$words];
        }

        return implode(
            '',
            array_map(fn (array $line) => implode(',', array_map(self::field(...), $line))."\r\n", $lines),
        );
    }

    /** A text that a spreadsheet would take for a formula gets an apostrophe in front (OWASP, CSV injection). */
    private static function field(string $text): string
    {
        if ($text !== '' && str_contains("=+-@\t\r", $text[0])) {
            $text = "'$text";
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
