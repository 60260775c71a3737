<?php

declare(strict_types=1);

namespace Tests\Reference;

use InvalidArgumentException;
use Ordotype\Core\Inspection\Sampling;
use PHPUnit\Framework\TestCase;

/** Sampling against MIL-STD-105E (1989), Tables I, II-A and II-B, and against exact hypergeometric chances. */
final class SamplingTest extends TestCase
{
    public function test_code_letters_are_those_of_table_one(): void
    {
        foreach (Csv::rows('sampling-code-letters.csv') as $row) {
            foreach (['I', 'II', 'III'] as $level) {
                foreach ([$row['lot_min'], $row['lot_max'] === '' ? '9000000' : $row['lot_max']] as $lot) {
                    self::assertSame($row[$level], Sampling::letter((int) $lot, $level), "$lot at $level");
                }
            }
        }
        self::assertSame('A', Sampling::letter(1, 'II'), 'a lot of one');
    }

    public function test_plans_are_those_of_the_tables_by_way_of_their_arrows(): void
    {
        foreach (['normal' => false, 'tightened' => true] as $name => $isTightened) {
            $table = array_column(Csv::rows("sampling-single-$name.csv"), null, 'code');
            $held = 0;
            foreach (Csv::rows('sampling-code-letters.csv') as $row) {
                foreach (['I', 'II', 'III'] as $level) {
                    $lot = (int) ($row['lot_max'] === '' ? 9_000_000 : $row['lot_max']);
                    foreach (array_slice(array_keys($table['A']), 2) as $aql) {
                        $asked = self::followed($table, $row[$level], (string) $aql);
                        if ($asked === null) {
                            continue;
                        }
                        [$n, $accepts] = $asked;
                        $plan = Sampling::plan($lot, $level, (float) $aql, $isTightened);
                        $is = $plan === null ? null : [$plan->n, $plan->accepts];
                        self::assertSame($n >= $lot ? null : [$n, $accepts], $is, "$name $lot $level $aql");
                        $held++;
                    }
                }
            }
            self::assertGreaterThan(900, $held);
        }
    }

    /**
     * @param  array<string, array<string, string>>  $table
     * @return array{int, int}|null null where a cell on the way is not known for sure
     */
    private static function followed(array $table, string $code, string $aql): ?array
    {
        $codes = array_keys($table);
        for ($at = (int) array_search($code, $codes, true), $steps = 0; $steps < 40; $steps++) {
            $cell = $table[$codes[$at] ?? '']['n'] ?? null;
            $said = $table[$codes[$at] ?? ''][$aql] ?? '';
            if ($cell === null || $said === '' || ($codes[$at] ?? '') === 'S') {
                return null;
            }
            if (str_contains($said, '/')) {
                return [(int) $cell, (int) explode('/', $said)[0]];
            }
            $at += $said === 'down' ? 1 : -1;
        }

        return null;
    }

    public function test_chances_are_the_hypergeometric_ones(): void
    {
        foreach (Csv::rows('sampling-oc-points.csv') as $row) {
            self::assertEqualsWithDelta(
                (float) $row['Pa'],
                Sampling::chance((int) $row['N'], (int) $row['n'], (int) $row['Ac'], (int) $row['D']),
                1e-9,
                implode(',', $row),
            );
        }
    }

    public function test_a_draw_is_of_different_pieces_the_same_for_the_same_seed_and_fair(): void
    {
        $pieces = range(1, 12);
        self::assertSame(Sampling::draw($pieces, 5, 3), Sampling::draw($pieces, 5, 3));
        self::assertSame(Sampling::draw($pieces, 3, 3), array_slice(Sampling::draw($pieces, 5, 3), 0, 3));
        $counts = array_fill(1, 12, 0);
        for ($seed = 0; $seed < 1200; $seed++) {
            $drawn = Sampling::draw($pieces, 4, $seed);
            self::assertCount(4, array_unique($drawn));
            foreach ($drawn as $piece) {
                $counts[$piece]++;
            }
        }
        // 400 each; five standard deviations of a fair draw are 82.
        self::assertGreaterThan(318, min($counts));
        self::assertLessThan(482, max($counts));
    }

    public function test_what_the_tables_do_not_have_is_named(): void
    {
        foreach ([[0, 'II', 4.0], [10, 'IV', 4.0], [10, 'II', 3.0]] as [$lot, $level, $aql]) {
            try {
                Sampling::plan($lot, $level, $aql);
                self::fail("$lot $level $aql");
            } catch (InvalidArgumentException $e) {
                self::assertMatchesRegularExpression('/at least one|IV|3 is no AQL/', $e->getMessage());
            }
        }
        self::assertNull(Sampling::plan(2, 'II', 4.0), 'the sample would be the lot');
    }
}
