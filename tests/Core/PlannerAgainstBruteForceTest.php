<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Words\PlanWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BruteForce;
use Tests\Support\Demo;
use Tests\Support\RandomCase;

final class PlannerAgainstBruteForceTest extends TestCase
{
    /** Seeds are drawn in blocks so that a failure names a seed within a readable number of tests. */
    private const BLOCKS = 20;

    private const CASES = 100;

    /** @return iterable<string, array{int}> */
    public static function blocks(): iterable
    {
        for ($block = 0; $block < self::BLOCKS; $block++) {
            yield "seeds from $block".'00' => [$block];
        }
    }

    #[DataProvider('blocks')]
    public function test_choice_minutes_and_bar_equal_trying_everything(int $block): void
    {
        for ($seed = $block * 100; $seed < $block * 100 + self::CASES; $seed++) {
            $request = (new RandomCase($seed))->request($seed % 5 === 0 ? 5 : 6, $seed % 5 === 0 ? 3 : 2);
            $request = $seed % 7 === 0 ? RandomCase::unpainted($request, 'a0') : $request;
            $plan = Demo::planner()->plan($request);
            foreach ($plan->areas as $i => $planned) {
                $brute = new BruteForce($request, $request->sculpt->areas[$i]);
                $expected = $brute->solve();
                $where = "seed $seed, area $i";
                if ($expected === null) {
                    self::assertNull($planned->choice, "$where: nothing fits, yet something was planned");
                    $this->assertFewestClauses($request, $planned, $brute, $where);

                    continue;
                }
                [$minutes, $use, $bar] = $expected;
                self::assertNotNull($planned->choice, "$where: a conflict was reported where something fits");
                self::assertEqualsWithDelta($minutes, $planned->choice->minutes, 1e-9, $where);
                self::assertSame($bar, $planned->gradeBar, $where);
                self::assertSame(
                    $use,
                    array_map(fn ($c) => [$c->index, $c->passes, $c->extent->value], $planned->choice->techniques),
                    $where,
                );
            }
        }
    }

    public function test_the_random_cases_hold_what_they_are_meant_to_try(): void
    {
        $seen = [
            'conflict' => 0,
            'relaxed' => 0,
            'empty conflict' => 0,
            'two clauses' => 0,
            'not applicable' => 0,
            'ground' => 0,
            'several passes' => 0,
            'spot or prominent' => 0,
            'tidied' => 0,
        ];
        for ($block = 0; $block < self::BLOCKS; $block++) {
            for ($seed = $block * 100; $seed < $block * 100 + self::CASES; $seed++) {
                foreach (
                    Demo::planner()->plan(
                        (new RandomCase($seed))->request($seed % 5 === 0 ? 5 : 6, $seed % 5 === 0 ? 3 : 2),
                    )->areas as $planned
                ) {
                    $seen['conflict'] += $planned->conflict === null ? 0 : 1;
                    $seen['empty conflict'] += $planned->conflict?->reasons === [] ? 1 : 0;
                    $seen['two clauses'] += count($planned->conflict->reasons ?? []) > 1 ? 1 : 0;
                    $seen['relaxed'] += $planned->choice !== null && $planned->relaxed > 0 ? 1 : 0;
                    $seen['not applicable'] += count($planned->demand->notApplicable);
                    $seen['ground'] += $planned->demand->area?->rank->value === 'ground' ? 1 : 0;
                    $seen['tidied'] +=
                        $planned->choice?->uses('tidy_base') === true && $planned->choice->uses('wash_all_over')
                            ? 1
                            : 0;
                    foreach ($planned->choice->techniques ?? [] as $used) {
                        $seen['several passes'] += $used->passes > 1 ? 1 : 0;
                        $seen['spot or prominent'] += $used->extent->value < 3 ? 1 : 0;
                    }
                }
            }
        }
        foreach ($seen as $what => $count) {
            self::assertGreaterThanOrEqual(5, $count, "hardly any case with $what");
        }
    }

    private function assertFewestClauses(
        PlanRequest $request,
        PlannedArea $planned,
        BruteForce $brute,
        string $where,
    ): void {
        self::assertNotNull($planned->conflict, $where);
        $asking = $brute->asking;
        $expected = null;
        for ($size = 0; $size <= count($asking) && $expected === null; $size++) {
            foreach (self::subsets($asking, $size) as $set) {
                if (! $brute->canMeet($set)) {
                    $expected = array_map(fn (Clause $c) => $c->id, $set);
                    break;
                }
            }
        }
        self::assertSame($expected, Reason::ids($planned->conflict->reasons), $where);
        self::assertNotSame('', (new PlanWords($request))->conflict($planned->conflict), $where);
    }

    /**
     * @param  list<Clause>  $of
     * @return iterable<list<Clause>>
     */
    private static function subsets(array $of, int $size): iterable
    {
        if ($size === 0) {
            yield [];

            return;
        }
        foreach ($of as $i => $first) {
            foreach (self::subsets(array_slice($of, $i + 1), $size - 1) as $rest) {
                yield [$first, ...$rest];
            }
        }
    }
}
