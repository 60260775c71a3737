<?php

declare(strict_types=1);

namespace Tests\Core;

use InvalidArgumentException;
use Ordotype\Core\Bench\Batch\Batch;
use Ordotype\Core\Bench\Batch\BatchPainter;
use Ordotype\Core\Bench\Batch\BatchPart;
use Ordotype\Core\Bench\Batch\BatchWork;
use Ordotype\Core\Bench\Batch\Bounds;
use Ordotype\Core\Bench\Batch\ExactOrder;
use Ordotype\Core\Bench\Batch\FixedOrder;
use Ordotype\Core\Bench\Batch\InForce;
use Ordotype\Core\Bench\Batch\Lag;
use Ordotype\Core\Bench\Batch\LagWhy;
use Ordotype\Core\Bench\Batch\NextRun;
use Ordotype\Core\Bench\Batch\NextWhy;
use Ordotype\Core\Bench\Batch\Operation;
use Ordotype\Core\Bench\Batch\OwnMix;
use Ordotype\Core\Bench\Batch\Progress;
use Ordotype\Core\Bench\Batch\Run;
use Ordotype\Core\Bench\Batch\Station;
use Ordotype\Core\Bench\Batch\Timetable;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\ReleaseInputs;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Unit\PieceNeeds;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Gate;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Reference\Csv;
use Tests\Support\BatchChecker;
use Tests\Support\Demo;

/** Timetables of batches, held by a checker that was written from the page. */
final class BatchesTest extends TestCase
{
    public function test_a_thousand_random_batches_break_nothing_and_lie_above_their_bounds(): void
    {
        $dice = new Randomizer(new Mt19937(30));
        for ($n = 0; $n < 1000; $n++) {
            $batch = self::random($dice);
            $timetable = OwnMix::of($batch);
            self::assertSame([], BatchChecker::problems($batch, $timetable), "batch $n");
            if ($batch->painters[0]->hours === []) {
                $bounds = new Bounds($batch);
                self::assertGreaterThanOrEqual($bounds->better - 1e-6, $timetable->finish, "batch $n");
                self::assertGreaterThanOrEqual($bounds->plain() - 1e-6, $bounds->better, "batch $n");
            }
        }
    }

    /** What is proven lies no higher than any of four other ways to work the same batch. */
    public function test_what_is_proven_is_undercut_by_no_other_order(): void
    {
        $dice = new Randomizer(new Mt19937(31));
        $proven = 0;
        for ($n = 0; $n < 120; $n++) {
            $batch = self::random($dice, painters: 1, most: 3);
            $known = OwnMix::of($batch);
            $best = ExactOrder::of($batch, $known);
            if ($best === null) {
                continue;
            }
            $proven++;
            self::assertSame([], BatchChecker::problems($batch, $best), "batch $n");
            foreach ([$known, FixedOrder::pieceByPiece($batch), FixedOrder::stepByStep($batch)] as $other) {
                self::assertLessThanOrEqual($other->finish + 1e-6, $best->finish, "batch $n");
            }
            for ($try = 0; $try < 30; $try++) {
                $shuffled = FixedOrder::of($batch, [self::shuffled($batch, $dice)]);
                self::assertLessThanOrEqual($shuffled->finish + 1e-6, $best->finish, "batch $n");
            }
        }
        self::assertGreaterThan(40, $proven);
    }

    /** How far it has come by chance: late, with a piece missed here and there, a step done by somebody else, one lost. */
    public function test_three_hundred_batches_that_have_come_some_way_are_laid_out_anew_and_never_end_later(): void
    {
        $dice = new Randomizer(new Mt19937(33));
        $taken = $behind = $split = 0;
        for ($n = 0; $n < 300; $n++) {
            $batch = self::random($dice);
            $planned = OwnMix::of($batch);
            $progress = self::progress($dice, $batch, $planned);
            $runs = InForce::runsOf($planned);
            $force = InForce::of($batch, $runs, $progress);
            self::assertSame([], BatchChecker::problems($batch, $force->timetable, $progress), "batch $n in force");
            $open = array_diff(array_keys($batch->operations), array_keys($progress->done));
            $kept = array_merge([], ...array_column($force->runs, 1));
            self::assertEqualsCanonicalizing(array_values($open), $kept, 'all that is open, once');
            foreach ($runs as [$painter, $operations]) {
                $still = array_values(array_intersect($operations, $open));
                $parts = array_filter($force->runs, fn (array $r) => array_intersect($r[1], $operations) !== []);
                self::assertSame(
                    $still === [] ? [] : [$painter],
                    array_values(array_unique(array_column($parts, 0))),
                    'whose it is does not change',
                );
                $split += count($parts) > 1 ? 1 : 0;
            }
            $new = $force->anew($batch, $progress);
            $behind += $open === [] ? 0 : 1;
            if ($new === null) {
                continue;
            }
            $taken++;
            self::assertSame([], BatchChecker::problems($batch, $new, $progress), "batch $n laid out anew");
            $saved = InForce::SOONER * ($force->timetable->finish - $progress->now);
            self::assertLessThan($force->timetable->finish - $saved, $new->finish, 'sooner by two per cent of what is left');
            foreach ($progress->inHand as $painter => $i) {
                $whose = array_filter($new->runs, fn (Run $r) => in_array($i, $r->operations, true));
                self::assertSame([$painter], array_column($whose, 'painter'), 'what is under the brush stays');
            }
        }
        self::assertGreaterThan(200, $behind);
        self::assertGreaterThan(20, $taken);
        self::assertGreaterThan(10, $split);
    }

    /** What a painter is told to do can be done now; who waits could do nothing of the batch. */
    public function test_next_is_what_is_dry_and_waiting_is_what_is_left_when_nothing_is(): void
    {
        $dice = new Randomizer(new Mt19937(34));
        $seen = [];
        for ($n = 0; $n < 400; $n++) {
            $batch = self::random($dice);
            if ($batch->painters[0]->hours !== []) {
                continue;
            }
            $planned = OwnMix::of($batch);
            $progress = self::progress($dice, $batch, $planned);
            $force = InForce::of($batch, InForce::runsOf($planned), $progress);
            foreach (array_keys($batch->painters) as $painter) {
                $next = NextRun::of($batch, $force, $progress, $painter);
                $seen[$next->why->value] = ($seen[$next->why->value] ?? 0) + 1;
                $own = array_filter($force->runs, fn (array $r) => $r[0] === $painter);
                self::assertSame($next->why === NextWhy::Through, $next->run === null);
                if (in_array($next->why, [NextWhy::Through, NextWhy::Waiting], true)) {
                    self::assertSame($next->why === NextWhy::Waiting, $own !== []);

                    continue;
                }
                $first = $next->run[1][0];
                foreach ($batch->before[$first] as $lag) {
                    self::assertArrayHasKey($lag->from, $progress->done, "batch $n: what it waits for is done");
                    $dry = $progress->done[$lag->from][0] + $lag->minutes;
                    $setup = $batch->operations[$first]->setup;
                    self::assertLessThanOrEqual($progress->now + $setup + 1e-6, $dry, "batch $n: it is dry");
                }
                self::assertLessThanOrEqual($batch->painters[$painter]->skill, $batch->operations[$first]->skill);
                self::assertSame($next->why !== NextWhy::ForAnother, $next->run[0] === $painter);
            }
        }
        ksort($seen);
        self::assertSame(['ahead', 'for_another', 'through', 'turn', 'waiting'], array_keys($seen));
    }

    public function test_the_checker_finds_what_is_moved(): void
    {
        $dice = new Randomizer(new Mt19937(32));
        $planted = $found = 0;
        for ($n = 0; $n < 300; $n++) {
            $batch = self::random($dice);
            $timetable = OwnMix::of($batch);
            $i = $dice->getInt(0, count($batch->operations) - 1);
            $held = array_filter($batch->before[$i], fn (Lag $l) => $l->minutes > 0.0);
            if ($held === []) {
                continue;
            }
            $lag = array_values($held)[0];
            $starts = $timetable->starts;
            $starts[$i] = $starts[$lag->from] + $batch->operations[$lag->from]->minutes + $lag->minutes / 2;
            $moved = new Timetable($timetable->runs, array_values($starts), $timetable->finish, 0.0);
            $planted++;
            $found += BatchChecker::problems($batch, $moved) === [] ? 0 : 1;
        }
        self::assertGreaterThan(60, $planted);
        self::assertGreaterThanOrEqual(0.98, $found / $planted);
    }

    public function test_a_batch_of_the_demo_is_worked_in_far_less_time_than_piece_by_piece(): void
    {
        $batch = self::demo('sluice-warden', 'company', 12, 1);
        [$mix, $each] = [OwnMix::of($batch), FixedOrder::pieceByPiece($batch)];
        self::assertSame([], BatchChecker::problems($batch, $mix));
        self::assertSame([], BatchChecker::problems($batch, $each));
        self::assertLessThan($each->finish / 3, $mix->finish);
        self::assertLessThan(1.2 * (new Bounds($batch))->better, $mix->finish);
        $two = self::demo('sluice-warden', 'company', 12, 2);
        self::assertLessThan(0.85 * $mix->finish, OwnMix::of($two)->finish);
        // Moving air dries paint quicker, and nothing else.
        $fan = self::demo('sluice-warden', 'company', 12, 1, fan: true);
        self::assertLessThan($batch->heads[count($batch->operations) - 1], $fan->heads[count($fan->operations) - 1]);
        $glue = fn (Batch $b): array => array_filter($b->lags, fn (Lag $l) => str_starts_with(
            $b->operations[$l->from]->pot,
            'matt_varnish',
        ) && $l->why === LagWhy::Drying);
        self::assertEquals(
            array_map(fn (Lag $l) => $l->minutes, $glue($batch)),
            array_map(fn (Lag $l) => $l->minutes, $glue($fan)),
        );
    }

    public function test_what_is_done_is_left_out_and_a_circle_is_refused(): void
    {
        $all = self::demo('mudlark', 'muster', 3, 1);
        $steps = $all->operations[0]->steps;
        $less = self::demo('mudlark', 'muster', 3, 1, done: [1 => $steps]);
        self::assertCount(count($all->operations) - 1, $less->operations);
        $this->expectException(InvalidArgumentException::class);
        $operation = fn (): Operation => new Operation(1, 0, 'p', 1.0);
        new Batch([$operation(), $operation()], [
            new Lag(0, 1, 0.0, LagWhy::Order), new Lag(1, 0, 0.0, LagWhy::Order),
        ], [new BatchPainter('a')]);
    }

    /** One runs ahead; the rest stop where colours begin until it is judged; each gate holds for an hour. */
    public function test_gates_and_the_test_model_hold_what_lies_beyond_them_until_they_are_answered(): void
    {
        $release = self::release('sluice-warden', 'company', 4);
        $part = fn (?int $test, array $answered = []) => new BatchPart($release, [1 => 1, 2 => 2, 3 => 3, 4 => 4], $test, $answered);
        $painters = [new BatchPainter('a'), new BatchPainter('b')];
        $batch = BatchWork::several([$part(1)], $painters);
        $mix = OwnMix::of($batch);
        self::assertSame([], BatchChecker::problems($batch, $mix));
        $gates = $part(1)->gates;
        $places = array_flip(array_keys($release->steps()));
        $isBeyond = fn (int $i, Gate $gate): bool => $gates->isBeyond(
            $gate,
            max(array_map(fn (string $s) => $places[$s], $batch->operations[$i]->steps)),
        );
        $of = fn (int $piece): array => array_keys(
            array_filter($batch->operations, fn (Operation $o) => $o->piece === $piece),
        );
        $end = fn (int $i): float => $mix->starts[$i] + $batch->operations[$i]->minutes;
        $painted = max(array_map($end, array_filter($of(1), fn (int $i) => ! $isBeyond($i, Gate::BeforeVarnish))));
        foreach ([2, 3, 4] as $other) {
            $colours = array_filter($of($other), fn (int $i) => $isBeyond($i, Gate::TestModel));
            self::assertNotSame([], $colours);
            $first = min(array_map(fn (int $i) => $mix->starts[$i], $colours));
            self::assertGreaterThanOrEqual($painted + 60.0 - 1e-6, $first);
        }
        foreach ([1, 2, 3, 4] as $piece) {
            foreach ($gates->all() as $gate) {
                [$after, $before] = [
                    array_filter($of($piece), fn (int $i) => $isBeyond($i, $gate)),
                    array_filter($of($piece), fn (int $i) => ! $isBeyond($i, $gate)),
                ];
                $from = max(array_map($end, $before)) + 60.0 - 1e-6;
                self::assertGreaterThanOrEqual($from, min(array_map(fn (int $i) => $mix->starts[$i], $after)));
            }
        }
        // What was answered holds nothing any more.
        $let = array_fill(1, 4, $gates->all());
        $answered = BatchWork::several([$part(null, $let)], $painters);
        self::assertEquals(BatchWork::of($release, [1, 2, 3, 4], $painters), $answered);
        self::assertGreaterThan(OwnMix::of($answered)->finish + 60.0, $mix->finish);
        // An answer that is overdue is expected an hour from now.
        $prepared = array_filter($of(1), fn (int $i) => ! $isBeyond($i, Gate::Prepared));
        $progress = new Progress(500.0, array_map(fn () => [30.0, 0], array_flip($prepared)));
        $force = InForce::of($batch, InForce::runsOf($mix), $progress);
        $rest = array_diff($of(1), $prepared);
        self::assertGreaterThanOrEqual(560.0, min(array_map(fn (int $i) => $force->timetable->starts[$i], $rest)));
    }

    public function test_units_in_one_batch_share_hands_and_what_dries_on_one_is_used_on_the_other(): void
    {
        $parts = [
            new BatchPart(self::release('mudlark', 'muster', 3), [1 => 1, 2 => 2, 3 => 3], isGated: false),
            new BatchPart(self::release('sluice-warden', 'muster', 2), [4 => 1, 5 => 2], isGated: false),
        ];
        $painters = [new BatchPainter('a')];
        $both = BatchWork::several($parts, $painters);
        $mix = OwnMix::of($both);
        self::assertSame([], BatchChecker::problems($both, $mix));
        self::assertSame([1, 2, 3, 4, 5], $both->pieces());
        $apart = 0.0;
        foreach ($parts as $part) {
            $apart += OwnMix::of(BatchWork::several([$part], $painters))->finish;
        }
        self::assertLessThan(0.8 * $apart, $mix->finish);
        self::assertGreaterThanOrEqual((new Bounds($both))->better - 1e-6, $mix->finish);
    }

    /** The catalogue's columns `station` and `fan`. */
    public function test_stations_and_moving_air_are_those_of_the_catalogue(): void
    {
        $standard = Demo::standard();
        foreach (Csv::rows('techniques.csv') as $row) {
            $technique = $standard->technique($row['key']);
            self::assertSame($row['station'] === 'spray', Station::isSprayed($technique), $row['key']);
            self::assertSame($row['fan'] === '1', Station::driesByAir($technique), $row['key']);
        }
    }

    private static function progress(Randomizer $dice, Batch $batch, Timetable $planned): Progress
    {
        $now = $planned->finish * $dice->getInt(5, 90) / 100;
        $done = $missed = $hand = [];
        $order = array_keys($planned->starts);
        usort($order, fn (int $a, int $b) => $planned->starts[$a] <=> $planned->starts[$b]);
        $who = [];
        foreach ($planned->runs as $run) {
            $who += array_fill_keys($run->operations, $run->painter);
        }
        foreach ($order as $i) {
            $end = $planned->starts[$i] + $batch->operations[$i]->minutes;
            $waits = array_filter($batch->before[$i], fn (Lag $l) => ! isset($done[$l->from]));
            $isOfPair = array_filter([...$batch->before[$i], ...$batch->after[$i]], fn (Lag $l) => $l->wet !== null) !== [];
            // Nobody stops between the two.
            $ends = array_map(
                fn (Lag $l) => $planned->starts[$l->to] + $batch->operations[$l->to]->minutes,
                array_filter($batch->after[$i], fn (Lag $l) => $l->wet !== null),
            );
            if (max([$end, ...$ends]) <= $now && $waits === [] && ($isOfPair || $dice->getInt(0, 12) > 0)) {
                $done[$i] = [$end, $who[$i]];
            }
            $isBegun = $planned->starts[$i] <= $now && $end > $now && $waits === [];
            if ($isBegun && ! $isOfPair && $dice->getInt(0, 1) === 0) {
                $hand[$who[$i]] = $i;
            }
        }

        return new Progress($now + $dice->getInt(0, 60), $done, $batch->painters[0]->hours === [] ? $hand : []);
    }

    /** @param  array<int, list<string>>  $done */
    private static function demo(
        string $sculpt,
        string $tier,
        int $pieces,
        int $painters,
        bool $fan = false,
        array $done = [],
    ): Batch {
        $release = self::release($sculpt, $tier, $pieces);

        return BatchWork::of(
            $release,
            range(1, $pieces),
            array_map(fn (int $k) => new BatchPainter("painter $k"), range(1, $painters)),
            $fan,
            $done,
        );
    }

    private static function release(string $sculpt, string $tier, int $pieces): Release
    {
        $standard = Demo::standard();
        $request = new PlanRequest(
            $standard,
            $standard->tier($tier),
            Demo::sculpt($sculpt),
            Demo::scheme(),
            shelf: Demo::shelf(),
            pieces: $pieces,
        );
        $plan = UnitPlan::of($request, [new PieceNeeds(1)], planner: Demo::planner());

        return Release::of(
            1,
            $request,
            new ReleaseInputs(0, '', null, [], ''),
            $plan,
            WorkOrder::of($request)->rules($plan->work->steps),
            new FaultTable([]),
        );
    }

    private static function random(Randomizer $dice, ?int $painters = null, int $most = 5): Batch
    {
        $steps = $dice->getInt(2, $most + 1);
        $template = [];
        for ($s = 0; $s < $steps; $s++) {
            $template[] = [
                'pot' => 'pot '.$dice->getInt(0, 3),
                'minutes' => $dice->getInt(1, 12),
                'spray' => $dice->getInt(0, 6) === 0,
                'skill' => $dice->getInt(1, 3),
                'before' => array_values(array_filter(range(0, max(0, $s - 1)), fn (int $b) => $b < $s && $dice->getInt(0, 2) > 0)),
                'dry' => $dice->getInt(0, 30),
            ];
        }
        $setups = array_map(fn (int $p) => (float) $dice->getInt(0, 4), range(0, 3));
        // The last step may go into what is wet of the one before it: both halves of a blend.
        $isPair = $steps > 2 && $dice->getInt(0, 3) === 0;
        if ($isPair) {
            $template[$steps - 2]['spray'] = $template[$steps - 1]['spray'] = false;
            $template[$steps - 1]['before'] = [$steps - 2];
        }
        $operations = $lags = [];
        for ($piece = 1, $pieces = $dice->getInt(1, $most); $piece <= $pieces; $piece++) {
            $at = count($operations);
            foreach ($template as $s => $step) {
                $operations[] = new Operation(
                    $piece,
                    $s,
                    $step['pot'].($step['spray'] ? ', sprayed' : ''),
                    (float) $step['minutes'],
                    $setups[(int) substr($step['pot'], 4)],
                    $step['spray'],
                    $step['skill'],
                    $s === 1,
                );
                foreach ($step['before'] as $before) {
                    $lags[] = $isPair && $s === $steps - 1
                        ? new Lag($at + $before, $at + $s, 0.0, LagWhy::Wet, Batch::WET)
                        : new Lag($at + $before, $at + $s, (float) $template[$before]['dry'], LagWhy::Drying);
                }
            }
        }
        $hours = $dice->getInt(0, 3) === 0
            ? array_map(fn (int $d) => [1440.0 * $d, 1440.0 * $d + 90.0], range(0, 60))
            : [];
        $hands = [];
        for ($k = $painters ?? $dice->getInt(1, 3); $k > 0; $k--) {
            $hands[] = new BatchPainter(
                "painter $k",
                $k === 1 ? 5 : $dice->getInt(2, 5),
                $painters === null && $dice->getInt(0, 3) === 0 ? 2 : null,
                $painters === null ? $hours : [],
            );
        }
        assert($hands !== []);

        return new Batch($operations, $lags, $hands);
    }

    /** @return list<int> operations in some order that keeps what must come before */
    private static function shuffled(Batch $batch, Randomizer $dice): array
    {
        $waits = array_map(count(...), $batch->before);
        $order = [];
        while (count($order) < count($waits)) {
            $free = array_keys(array_filter($waits, fn (int $w, int $i) => $w === 0 && ! in_array($i, $order, true), ARRAY_FILTER_USE_BOTH));
            $i = $free[$dice->getInt(0, count($free) - 1)];
            $order[] = $i;
            foreach ($batch->after[$i] as $lag) {
                $waits[$lag->to]--;
            }
        }

        return $order;
    }
}
