<?php

declare(strict_types=1);

namespace Tests\Reference;

use InvalidArgumentException;
use Ordotype\Core\Inspection\Kappa;
use PHPUnit\Framework\TestCase;

/** Cohen's kappa against published tables (Cohen 1960 and 1968, Fleiss, Cohen and Everitt 1969). */
final class KappaTest extends TestCase
{
    public function test_it_is_that_of_the_published_tables(): void
    {
        $rows = Csv::rows('cohen-kappa.csv');
        self::assertCount(6, $rows);
        foreach ($rows as $row) {
            $table = array_chunk(array_map(intval(...), explode(';', $row['cells'])), (int) $row['k']);
            $kappa = Kappa::of($table);
            self::assertEqualsWithDelta((float) $row['kappa'], $kappa, 1e-10, $row['origin']);
            if ($row['published'] !== '') {
                $places = strlen($row['published']) - 2;
                self::assertSame((float) $row['published'], round((float) $kappa, $places), $row['origin']);
            }
        }
    }

    public function test_it_is_of_calls_what_it_is_of_their_table_and_is_not_defined_where_nobody_differs(): void
    {
        $calls = [];
        foreach ([[20, true, true], [5, true, false], [10, false, true], [15, false, false]] as [$n, $one, $other]) {
            array_push($calls, ...array_fill(0, $n, [$one, $other]));
        }
        self::assertEqualsWithDelta(0.4, Kappa::ofCalls($calls), 1e-12);
        self::assertNull(Kappa::ofCalls([]));
        self::assertNull(Kappa::ofCalls([[true, true], [true, true]]));
        $this->expectException(InvalidArgumentException::class);
        Kappa::of([[1, 2], [3]]);
    }
}
