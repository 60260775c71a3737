<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\BatchRow;
use App\Models\GateAnswer;
use App\Models\Piece;
use App\Models\StepLog;
use App\Models\Studio;
use App\Models\Unit;
use App\Models\User;
use App\Studio\BatchState;
use App\Studio\BenchWork;
use App\Studio\GateKeeper;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Ordotype\Core\Bench\Batch\Batch;
use Ordotype\Core\Bench\Batch\BatchPainter;
use Ordotype\Core\Bench\Batch\BatchPart;
use Ordotype\Core\Bench\Batch\BatchWork;
use Ordotype\Core\Bench\Batch\InForce;
use Ordotype\Core\Bench\Batch\Progress;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Standard\Gate;

/**
 * Batches as the core reckons with them, from their rows, releases and the log of the bench.
 *
 * @phpstan-import-type Hand from BatchRow
 */
final class BatchStates
{
    /** Days beyond which nobody's hours are looked at. */
    private const HORIZON = 400;

    /** Answers at gates that tell how long one waits for them, and how many are looked at. */
    private const ENOUGH = 10;

    private const LATEST = 100;

    /** @var array<int, Release> by unit */
    private array $releases = [];

    public function __construct(private readonly Releases $read)
    {
    }

    public function of(BatchRow $row): BatchState
    {
        $pieces = $this->pieces($row);
        $parts = $this->parts($pieces);
        $minutes = 0.0;
        foreach ($pieces as $piece) {
            $minutes += array_sum(array_map(fn ($p) => $p->minutes, $this->releases[$piece->unit_id]->passes()));
        }
        $painters = array_map(fn (array $hand) => self::painter($row, $hand, $minutes), $row->painters);
        assert($painters !== []);
        $batch = BatchWork::several($parts, $painters, $row->fan, $row->guns);
        $users = array_column($row->painters, 'user');
        $progress = self::progress($row, $batch, $pieces, $users);
        $force = InForce::of($batch, self::runs($row, $batch, $pieces, $users), $progress);

        return new BatchState($row, $batch, $progress, $force, $pieces, $this->releases, $users);
    }

    /** @return array<int, Piece> by number in the batch: those that are worked on */
    private function pieces(BatchRow $row): array
    {
        /** @var Collection<int, Piece> $found */
        $found = $row->pieces()
            ->whereIn('stage', Stage::words(fn (Stage $s) => $s->isAtWork()))
            ->with(['unit.order', ...BenchWork::OF_PIECES])
            ->get();
        $pieces = [];
        foreach ($found->values() as $n => $piece) {
            $pieces[$n + 1] = $piece;
        }

        return $pieces;
    }

    /**
     * @param  array<int, Piece>  $pieces
     * @return list<BatchPart>
     */
    private function parts(array $pieces): array
    {
        $said = GateKeeper::said(array_map(fn (Piece $p) => $p->id, array_values($pieces)));
        $byUnit = [];
        foreach ($pieces as $n => $piece) {
            $byUnit[$piece->unit_id][$n] = $piece;
        }
        $parts = [];
        foreach ($byUnit as $id => $those) {
            $unit = array_values($those)[0]->unit;
            $release = $this->releases[$id] = $this->read->of($unit);
            $gates = GateKeeper::of($release);
            $answered = [];
            foreach ($those as $n => $piece) {
                $answered[$n] = array_map(
                    fn (string $gate) => Gate::from($gate),
                    array_keys(array_filter($said[$piece->id] ?? [], fn (GateAnswer $a) => $a->passed)),
                );
            }
            $parts[] = new BatchPart(
                $release,
                array_map(fn (Piece $p) => $p->number, $those),
                $gates->wantsTestModel() ? self::testModel($unit, $those) : null,
                $answered,
                self::usualWait(),
            );
        }

        return $parts;
    }

    /**
     * Minutes that a model stands at a gate, the median of the latest: nights count, as they do for whoever waits.
     */
    public static function usualWait(): float
    {
        $waits = GateAnswer::query()
            ->orderByDesc('id')
            ->limit(self::LATEST)
            ->selectRaw(
                'timestampdiff(second, (select max(done_at) from step_logs where step_logs.piece_id = '.
                    'gate_answers.piece_id and undoes is null and done_at <= answered_at), answered_at) as waited',
            )
            ->pluck('waited')
            ->filter(fn (mixed $waited) => $waited !== null)
            ->map(fn (mixed $waited) => (float) $waited / 60);

        return $waits->count() < self::ENOUGH ? BatchPart::WAIT : (float) $waits->median();
    }

    /**
     * The model that runs ahead: the one that was named and is not judged yet.
     *
     * @param  non-empty-array<int, Piece>  $pieces
     */
    private static function testModel(Unit $unit, array $pieces): ?int
    {
        $isJudged = GateKeeper::onTestModel($unit) !== null;
        $named = array_filter($pieces, fn (Piece $p) => $p->id === $unit->test_piece_id);

        return $isJudged ? null : array_key_first($named);
    }

    /**
     * @param  array<int, Piece>  $pieces
     * @param  list<int>  $users
     */
    private static function progress(BatchRow $row, Batch $batch, array $pieces, array $users): Progress
    {
        $since = fn (CarbonImmutable $moment): float => $row->starts_at->diffInSeconds($moment) / 60;
        $logs = array_map(fn (Piece $p) => $p->standing->keyBy('step'), $pieces);
        $places = array_flip($users);
        $done = [];
        foreach ($batch->operations as $i => $operation) {
            $marks = array_map(fn (string $step) => $logs[$operation->piece][$step] ?? null, $operation->steps);
            $marks = array_filter($marks, fn (?StepLog $log) => $log !== null);
            if (count($marks) < count($operation->steps)) {
                continue;
            }
            usort($marks, fn (StepLog $a, StepLog $b) => $a->done_at <=> $b->done_at);
            $last = $marks[count($marks) - 1];
            $done[$i] = [$since($last->done_at->toImmutable()), $places[$last->user_id] ?? null];
        }

        return new Progress(max(0.0, $since(CarbonImmutable::now())), $done);
    }

    /**
     * @param  array<int, Piece>  $pieces
     * @param  list<int>  $users
     * @return list<array{int, list<int>}>
     */
    private static function runs(BatchRow $row, Batch $batch, array $pieces, array $users): array
    {
        $found = [];
        foreach ($batch->operations as $i => $o) {
            $found[implode(' ', [$pieces[$o->piece]->id, $o->steps[0], BatchWork::coatOf($o)])] = $i;
        }
        $places = array_flip($users);
        $runs = [];
        foreach ($row->runs as ['painter' => $painter, 'operations' => $operations]) {
            $are = array_map(fn (array $of) => $found[implode(' ', $of)] ?? null, $operations);
            $are = array_values(array_filter($are, fn (?int $i) => $i !== null));
            if ($are !== [] && isset($places[$painter])) {
                $runs[] = [$places[$painter], $are];
            }
        }

        return $runs;
    }

    /**
     * Somebody with the hours of so many days that all of it could be done by them alone.
     *
     * @param  Hand  $hand
     */
    private static function painter(BatchRow $row, array $hand, float $minutes): BatchPainter
    {
        $user = User::query()->findOrFail($hand['user']);
        $isAway = fn (CarbonImmutable $date): bool => $user->isAway($date->format('Y-m-d'));
        $day = $row->starts_at->setTimezone(Studio::row()->time_zone)->startOfDay();
        $ends = $day->setTimeFromTimeString($hand['to']);
        $daily = max(1.0, $day->setTimeFromTimeString($hand['from'])->diffInMinutes($ends));
        // From the first day to now, and on from there.
        $most = (int) ceil($minutes / $daily * 7 / max(1, count($hand['days'])) + $day->diffInDays(now()) + 14);
        $hours = $days = [];
        for ($d = 0; $d < min($most, self::HORIZON); $d++) {
            $date = $day->addDays($d);
            if (! in_array($date->dayOfWeekIso, $hand['days'], true) || $isAway($date)) {
                continue;
            }
            $from = $row->starts_at->diffInSeconds($date->setTimeFromTimeString($hand['from'])) / 60;
            $to = $row->starts_at->diffInSeconds($date->setTimeFromTimeString($hand['to'])) / 60;
            if ($to > 0.0) {
                $hours[] = [max(0.0, $from), $to];
                $days[] = $d;
            }
        }

        return new BatchPainter((string) $hand['user'], $user->skill, $hand['largest'], $hours, $days);
    }
}
