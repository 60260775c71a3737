<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Inspection\Lot;
use Ordotype\Core\Inspection\LotVerdict;
use Ordotype\Core\Inspection\SamplingPlan;
use Ordotype\Core\Inspection\Switching;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Consent;
use PHPUnit\Framework\TestCase;

/** The verdict on a unit by its sample, and how strictly the next one is looked at, against a reading of their own. */
final class LotTest extends TestCase
{
    public function test_a_lot_is_drawn_for_the_larger_of_its_samples_and_only_where_the_tables_have_one(): void
    {
        // Lot 60 at level II is letter E, 13: AQL 4.0 accepts 1, AQL 10 accepts 3 (MIL-STD-105E, Table II-A).
        $lot = Lot::of(self::clause(true), range(1, 60), 7, false);
        self::assertNotNull($lot);
        self::assertSame([13, 1, 13, 3], [
            $lot->plans['major']->n,
            $lot->plans['major']->accepts,
            $lot->plans['minor']->n,
            $lot->plans['minor']->accepts,
        ]);
        self::assertCount(13, array_unique($lot->drawn));
        self::assertSame([], array_diff($lot->drawn, range(1, 60)));
        self::assertSame($lot->drawn, Lot::of(self::clause(true), range(1, 60), 7, false)?->drawn, 'by its seed');
        self::assertNotSame($lot->drawn, Lot::of(self::clause(true), range(1, 60), 8, false)?->drawn);
        // Tightened, 4.0 accepts but none: Table II-B.
        $tight = Lot::of(self::clause(true), range(1, 60), 7, true);
        self::assertLessThan($lot->plans['minor']->accepts, $tight?->plans['minor']->accepts ?? 99);
        self::assertNull(Lot::of(self::clause(false), range(1, 60), 7, false), 'the tier has every one checked');
        self::assertNull(Lot::of(self::clause(true), [4], 7, false), 'a lot of one');
        self::assertNull(Lot::of(self::clause(true), [4, 5], 7, false), 'the sample would be the lot');
    }

    public function test_random_lots_are_judged_as_the_page_says(): void
    {
        mt_srand(11);
        for ($case = 0; $case < 3000; $case++) {
            $n = ['major' => mt_rand(1, 5), 'minor' => mt_rand(1, 5)];
            $accepts = ['major' => mt_rand(0, 2), 'minor' => mt_rand(0, 2)];
            $drawn = range(1, max($n));
            shuffle($drawn);
            $lot = Lot::kept(20, $drawn, [
                'major' => new SamplingPlan($n['major'], $accepts['major']),
                'minor' => new SamplingPlan($n['minor'], $accepts['minor']),
            ]);
            $limit = mt_rand(0, 3);
            $found = [];
            foreach ($drawn as $piece) {
                if (mt_rand(0, 5) > 0) {
                    $found[$piece] = [
                        'critical' => mt_rand(0, 30) === 0 ? 1 : 0,
                        'major' => mt_rand(0, 3) === 0 ? mt_rand(1, 2) : 0,
                        'minor' => mt_rand(0, 5),
                    ];
                }
            }
            self::assertSame(self::read($drawn, $n, $accepts, $found, $limit), $lot->verdict($found, $limit), "case $case");
        }
    }

    /**
     * @param  list<int>  $drawn
     * @param  array<string, int>  $n
     * @param  array<string, int>  $accepts
     * @param  array<int, array<string, int>>  $found
     */
    private static function read(array $drawn, array $n, array $accepts, array $found, int $limit): LotVerdict
    {
        foreach ($found as $piece) {
            if ($piece['critical'] > 0) {
                return LotVerdict::Refused;
            }
        }
        $majors = count(array_filter(array_slice($drawn, 0, $n['major']), fn ($p) => ($found[$p]['major'] ?? 0) >= 1));
        $minors = count(array_filter(array_slice($drawn, 0, $n['minor']), fn ($p) => ($found[$p]['minor'] ?? 0) > $limit));
        if ($majors >= $accepts['major'] + 1 || $minors >= $accepts['minor'] + 1) {
            return LotVerdict::Refused;
        }

        return array_diff($drawn, array_keys($found)) === [] ? LotVerdict::Accepted : LotVerdict::Open;
    }

    public function test_two_refused_of_five_tighten_and_five_accepted_in_a_row_ease(): void
    {
        $y = true;
        $n = false;
        self::assertFalse(Switching::isTightened([]));
        self::assertFalse(Switching::isTightened([$n]));
        self::assertTrue(Switching::isTightened([$n, $n]));
        self::assertTrue(Switching::isTightened([$n, $y, $y, $y, $n]), 'two of five');
        self::assertFalse(Switching::isTightened([$n, $y, $y, $y, $y, $n]), 'the first is six ago');
        self::assertTrue(Switching::isTightened([$n, $n, $y, $y, $y, $y]), 'four are not enough');
        self::assertFalse(Switching::isTightened([$n, $n, $y, $y, $y, $y, $y]));
        self::assertTrue(Switching::isTightened([$n, $n, $y, $y, $y, $y, $n]));
        self::assertTrue(Switching::isTightened([$n, $n, $y, $y, $n, $y, $y, $y, $y]), 'in a row');
        self::assertFalse(Switching::isTightened([$n, $n, $y, $y, $y, $y, $y, $n]), 'it starts anew');
    }

    private static function clause(bool $sampled): AcceptanceClause
    {
        return new AcceptanceClause(
            'x.accept',
            [Role::Regular],
            $sampled,
            'II',
            ['major' => 4.0, 'minor' => 10.0],
            ['critical' => 0, 'major' => 0, 'minor' => 3],
            [],
            [],
            Consent::None,
        );
    }
}
