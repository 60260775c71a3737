<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Ladder\Row;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Words\LadderWords;
use Ordotype\Core\Words\RowNames;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/** What the rows of the ladder are called, and the lines that stand for a family of what is merely allowed. */
final class LadderRowsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function packs(): iterable
    {
        foreach (glob(Demo::path('standards/*.json')) ?: [] as $file) {
            yield basename($file) => [basename($file)];
        }
    }

    #[DataProvider('packs')]
    public function test_no_two_rows_of_a_pack_read_the_same_and_none_shows_a_key(string $file): void
    {
        $standard = Demo::standardOf($file);
        $names = (new RowNames($standard))->all((new Grid($standard))->rows());
        self::assertSame(array_values(array_unique($names)), $names);
        foreach ($names as $name) {
            self::assertDoesNotMatchRegularExpression('/_|\b[a-z]+\.[a-z]+\b/', $name);
        }
    }

    public function test_rows_without_a_label_are_called_by_what_they_ask_and_told_apart(): void
    {
        $edges = fn (array $scope) => ['kind' => 'effect', 'effect' => 'highlight_edge', 'scope' => $scope];
        $standard = Demo::tierOf([
            $edges(['rank' => ['main']]),
            $edges(['rank' => ['detail']]),
            $edges(['rank' => ['detail']]),
            ['kind' => 'technique', 'technique' => 'decal', 'status' => 'on_request', 'price' => '3.00'],
            ['kind' => 'technique', 'family' => 'shade', 'status' => 'allowed'],
        ]);
        self::assertSame(
            ['Edge highlights, main', 'Edge highlights, detail (1)', 'Edge highlights, detail (2)', 'Decal', 'All shades'],
            $this->names($standard),
        );
    }

    public function test_a_family_reads_as_one_line_as_its_clauses_say(): void
    {
        $may = fn (string $what, string $key, string $status, array $scope = []) => [
            'kind' => 'technique',
            $what => $key,
            'status' => $status,
            'scope' => (object) $scope,
        ];
        $line = fn (array $clauses) => $this->line(Demo::tierOf($clauses));
        $all = $may('family', 'shade', 'allowed');
        $shut = $may('technique', 'wash_all_over', 'not_offered');
        self::assertSame('all but wash all over', $line([$all, $shut]));
        self::assertSame(
            'all but wash all over on eyes',
            $line([$all, $may('technique', 'wash_all_over', 'not_offered', ['material' => ['eye']])]),
        );
        self::assertSame('all on cloth', $line([
            $may('family', 'shade', 'allowed', ['material' => ['cloth']]),
            $may('technique', 'recess_shade', 'allowed'),
        ]));
        self::assertSame('none', $line([$may('family', 'shade', 'not_offered'), $shut]));
        self::assertSame(
            'only shading in the recesses',
            $line([$may('family', 'shade', 'not_offered'), $may('technique', 'recess_shade', 'allowed')]),
        );
    }

    /** The page: techniques that are merely allowed fold; a row that asks anywhere does not. */
    public function test_only_rows_that_ask_for_nothing_fold(): void
    {
        $grid = new Grid(Demo::standard());
        foreach ($grid->rows() as $row) {
            $asks = false;
            foreach ($row->cells as $cell) {
                $asks = $asks || ($cell->clause !== null && ! (
                    $cell->clause instanceof TechniqueClause &&
                    in_array($cell->clause->status->value, ['allowed', 'not_offered'], true)
                ));
            }
            self::assertSame($asks, $row->family === null, $row->suffix);
        }
    }

    /** @return list<string> */
    private function names(Standard $standard): array
    {
        return (new RowNames($standard))->all((new Grid($standard))->rows());
    }

    private function line(Standard $standard): string
    {
        $rows = array_values(array_filter((new Grid($standard))->rows(), fn (Row $r) => $r->family !== null));
        self::assertTrue($rows[0]->ofWholeFamily);

        return (new LadderWords($standard))->family($rows[0], array_slice($rows, 1))[0];
    }
}
