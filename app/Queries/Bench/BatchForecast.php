<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\BenchWork;
use Ordotype\Core\Bench\Batch\Batch;
use Ordotype\Core\Bench\Batch\BatchPainter;
use Ordotype\Core\Bench\Batch\BatchWork;
use Ordotype\Core\Bench\Batch\Bounds;
use Ordotype\Core\Bench\Batch\ExactOrder;
use Ordotype\Core\Bench\Batch\FixedOrder;
use Ordotype\Core\Bench\Batch\OwnMix;
use Ordotype\Core\Bench\Batch\Run;
use Ordotype\Core\Bench\Batch\Station;
use Ordotype\Core\Bench\Batch\Timetable;
use Ordotype\Core\Bench\Batch\Waiting;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Planning\Sequencing\Pass;

/** How long what is left of a batch takes, in its own mix and in the two plain ways, and what waits. */
final class BatchForecast
{
    /** Runs that are told: more of them change before they come. */
    private const FIRST = 6;

    private const CURVE = 24;

    public function __construct(private readonly Releases $releases)
    {
    }

    /** @return array<string, mixed> */
    public function of(Unit $unit, int $painters, bool $fan): array
    {
        $unit->load(['pieces', ...array_map(fn (string $of) => "pieces.$of", BenchWork::OF_PIECES)]);
        $release = $this->releases->of($unit);
        $pieces = $unit->pieces->filter(fn (Piece $p) => Stage::from($p->stage)->isAtWork())->values();
        $done = [];
        foreach ($pieces as $piece) {
            $done[$piece->number] = BenchWork::done($piece);
        }
        $hands = array_map(fn (int $k) => new BatchPainter((string) $k), range(1, $painters));
        assert($hands !== []);
        $numbers = array_values($pieces->pluck('number')->map(fn (mixed $n) => (int) $n)->all());
        $batch = BatchWork::of($release, $numbers, $hands, $fan, $done);
        $mix = OwnMix::of($batch);
        $mix = ExactOrder::of($batch, $mix) ?? $mix;
        $steps = self::steps($release, $fan);

        return [
            'painters' => $painters,
            'fan' => $fan,
            'pieces' => count($numbers),
            'own_mix' => self::way($mix),
            'step_by_step' => self::way(FixedOrder::stepByStep($batch)),
            'piece_by_piece' => self::way(FixedOrder::pieceByPiece($batch)),
            'at_least' => round((new Bounds($batch))->better, 1),
            'proven' => $mix->isProven,
            'first' => array_map(
                fn (Run $r) => self::run($r, $batch, $release),
                array_slice($mix->runs, 0, self::FIRST),
            ),
            'curve' => array_map(
                fn (int $n) => ['pieces' => $n, 'waiting' => round(Waiting::of($steps, $n), 1)],
                range(1, max(self::CURVE, count($numbers))),
            ),
            'none_from' => Waiting::none($steps),
        ];
    }

    /** @return list<array{float, float}> hand minutes and drying of each pass */
    private static function steps(Release $release, bool $fan): array
    {
        $work = $release->plan->work->steps;
        $air = fn (Pass $p): bool => $fan && Station::driesByAir($work[$p->steps[0]]->technique);

        return array_map(
            fn (Pass $p): array => [$p->minutes, $p->drying * ($air($p) ? Station::FAN : 1.0)],
            $release->passes(),
        );
    }

    /** @return array{minutes: float, waiting: float, changes: int} */
    private static function way(Timetable $timetable): array
    {
        return [
            'minutes' => round($timetable->finish, 1),
            'waiting' => round($timetable->waiting, 1),
            'changes' => $timetable->changes(),
        ];
    }

    /** @return array<string, mixed> */
    private static function run(Run $run, Batch $batch, Release $release): array
    {
        $first = $batch->operations[$run->operations[0]];
        $step = $release->steps()[$first->steps[0]];
        $models = array_map(fn (int $i) => $batch->operations[$i]->piece, $run->operations);

        return [
            'painter' => $run->painter + 1,
            'from' => round($run->from, 1),
            'to' => round($run->to, 1),
            'technique' => $step->technique->name,
            'paint' => $step->colour?->words(),
            'models' => array_values(array_unique($models)),
            'waited' => round($run->waited, 1),
        ];
    }
}
