<?php

declare(strict_types=1);

namespace Tests\Reference;

use Ordotype\Core\Bench\Batch\Batch;
use Ordotype\Core\Bench\Batch\BatchPainter;
use Ordotype\Core\Bench\Batch\ExactOrder;
use Ordotype\Core\Bench\Batch\Lag;
use Ordotype\Core\Bench\Batch\LagWhy;
use Ordotype\Core\Bench\Batch\Operation;
use Ordotype\Core\Bench\Batch\OwnMix;
use Ordotype\Core\Bench\Batch\Waiting;
use Ordotype\Core\Bench\Learned;
use Ordotype\Core\Bench\Sitting;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Batches held against cases that were solved in other ways, and the design's worked examples. */
final class BatchTest extends TestCase
{
    /** @return iterable<string, array{int, list<array{float, float}>, float}> */
    public static function delays(): iterable
    {
        foreach (Csv::rows('single-machine-delays.csv') as $row) {
            $steps = array_map(
                fn (string $s): array => array_map(floatval(...), explode(':', $s)),
                explode(';', $row['steps']),
            );
            yield "instance {$row['instance']}" => [(int) $row['n'], $steps, (float) $row['optimum']];
        }
    }

    /**
     * The optimum was proven by exhaustive search in four ways (single-machine-delays.csv).
     *
     * @param  list<array{float, float}>  $steps
     */
    #[DataProvider('delays')]
    public function test_one_painter_ends_as_soon_as_can_be_and_it_is_proven(
        int $pieces,
        array $steps,
        float $optimum,
    ): void {
        $batch = self::batch($pieces, $steps);
        $proven = ExactOrder::of($batch, OwnMix::of($batch));
        self::assertTrue($proven?->isProven);
        self::assertEqualsWithDelta($optimum, $proven->finish, 1e-6);
    }

    /** Earliest starts and the length of a network without hands: heads, tails and the longest chain (cpm-example.csv). */
    public function test_heads_and_tails_equal_the_critical_path_method(): void
    {
        $instances = [];
        foreach (Csv::rows('cpm-example.csv') as $row) {
            $instances[$row['instance']][$row['activity']] = $row;
        }
        self::assertCount(13, $instances);
        foreach ($instances as $name => $rows) {
            $places = array_flip(array_keys($rows));
            $operations = $lags = [];
            foreach ($rows as $activity => $row) {
                $operations[] = new Operation(1 + $places[$activity], $places[$activity], 'p', (float) $row['duration']);
                foreach (preg_split('/[;\s]+/', $row['predecessors'], -1, PREG_SPLIT_NO_EMPTY) ?: [] as $before) {
                    $lags[] = new Lag($places[$before], $places[$activity], 0.0, LagWhy::Order);
                }
            }
            $batch = new Batch($operations, $lags, [new BatchPainter('a')]);
            foreach (array_values($rows) as $i => $row) {
                self::assertEqualsWithDelta((float) $row['ES'], $batch->heads[$i], 1e-9, "$name $i");
                $latest = (float) $row['length'] - $batch->tails[$i];
                self::assertEqualsWithDelta((float) $row['LF'], $latest, 1e-9, "$name $i");
            }
        }
    }

    /** The design's two examples. */
    public function test_waiting_by_the_size_of_a_batch(): void
    {
        self::assertSame(9, Waiting::none([[4.0, 30.0], [4.0, 0.0]]));
        self::assertSame(22.0, Waiting::of([[4.0, 30.0], [1.0, 0.0]], 9));
        self::assertSame(0.0, Waiting::of([[4.0, 30.0], [4.0, 0.0]], 9));
        self::assertGreaterThan(0.0, Waiting::of([[4.0, 30.0], [4.0, 0.0]], 8));
        self::assertNull(Waiting::none([[4.0, 30.0], [0.0, 0.0]]));
    }

    /** The design's examples: three sittings, one with a forgotten clock, and two techniques in one sitting. */
    public function test_what_is_learned_from_sittings(): void
    {
        $of = fn (float ...$ratios): array => array_map(
            fn (float $r) => new Sitting(10 * $r, ['drybrush' => 10.0]),
            array_values($ratios),
        );
        self::assertSame(1.129, round(Learned::factors($of(1.2, 1.5, 1.3))['drybrush'], 3));
        self::assertSame(1.276, round(Learned::factors($of(1.2, 1.5, 1.3, 10.0))['drybrush'], 3));
        $both = Learned::factors([
            new Sitting(12.0, ['drybrush' => 10.0]),
            new Sitting(15.0, ['drybrush' => 6.0, 'wash' => 4.0]),
        ]);
        self::assertSame([1.079, 1.038], [round($both['drybrush'], 3), round($both['wash'], 3)]);
        self::assertSame([], Learned::factors([new Sitting(0.0, ['drybrush' => 10.0])]));
    }

    /** @param  list<array{float, float}>  $steps */
    private static function batch(int $pieces, array $steps): Batch
    {
        $operations = $lags = [];
        for ($piece = 1; $piece <= $pieces; $piece++) {
            foreach ($steps as $turn => [$hand]) {
                $operations[] = new Operation($piece, $turn, 'one pot', $hand);
                if ($turn > 0) {
                    $at = count($operations) - 1;
                    $lags[] = new Lag($at - 1, $at, $steps[$turn - 1][1], LagWhy::Drying);
                }
            }
        }

        return new Batch($operations, $lags, [new BatchPainter('a')]);
    }
}
