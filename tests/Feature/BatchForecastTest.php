<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use App\Models\StepLog;
use App\Models\Unit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What the bench says of time: how long the rest takes, what is wet until when, and minutes that somebody's clock told. */
final class BatchForecastTest extends StudioTestCase
{
    public function test_what_is_left_takes_less_in_its_own_mix_and_less_with_two_and_with_a_fan(): void
    {
        $unit = $this->unit('26-038');
        $of = fn (string $query): array => $this->api('painter', 'GET', "bench/$unit->id/forecast$query", null, 200)->json();
        $one = $of('');
        self::assertSame([1, false], [$one['painters'], $one['fan']]);
        self::assertLessThanOrEqual($one['step_by_step']['minutes'], $one['own_mix']['minutes']);
        self::assertLessThan($one['piece_by_piece']['minutes'], $one['own_mix']['minutes']);
        self::assertGreaterThanOrEqual($one['at_least'], $one['own_mix']['minutes'] + 0.1);
        self::assertNotSame([], $one['first']);
        self::assertGreaterThan($one['curve'][23]['waiting'], $one['curve'][0]['waiting']);
        self::assertLessThan($one['own_mix']['minutes'], $of('?painters=2')['own_mix']['minutes']);
        self::assertLessThan($one['piece_by_piece']['minutes'], $of('?fan=1')['piece_by_piece']['minutes']);
        $this->api('painter', 'GET', "bench/$unit->id/forecast?painters=0", null, 422);
        $this->api('desk', 'GET', "bench/$unit->id/forecast", null, 403);
        // What is done is not forecast once more.
        $work = app(\App\Actions\Bench\WorkOnPieces::class);
        $batch = $this->api('painter', 'GET', "bench/$unit->id", null, 200)->json();
        $pass = $batch['passes'][$batch['next_pass']];
        $this->actingAs($this->person('painter'));
        $work->mark(array_column($batch['pieces'], 'id'), $pass['steps']);
        self::assertLessThan($one['own_mix']['minutes'], $of('')['own_mix']['minutes']);
    }

    public function test_the_waiting_is_told_for_as_many_models_as_there_are(): void
    {
        $large = $this->unit('26-038');
        $last = $large->pieces->last() ?? self::fail('no models');
        foreach (range(11, 30) as $number) {
            $more = $last->replicate();
            $more->forceFill(['number' => $number, 'code' => "LRG$number"])->save();
        }
        $told = $this->api('lead', 'GET', "bench/$large->id/forecast", null, 200)->json();
        self::assertSame(range(1, max(24, $told['pieces'])), array_column($told['curve'], 'pieces'));
        self::assertGreaterThan(24, $told['pieces']);
    }

    public function test_paint_is_wet_until_it_is_dry_and_the_page_names_the_passes_that_wait(): void
    {
        [$unit, $piece, $batch] = $this->batch();
        $first = collect($batch['passes'])->first(fn (array $p) => $p['dry'] >= 5 && ! in_array($p['steps'][0], $batch['pieces'][0]['done'], true));
        $this->mark($piece, $first['steps'], null);
        $wet = fn (): array => collect($this->api('painter', 'GET', "bench/$unit->id", null, 200)->json('pieces'))
            ->firstWhere('id', $piece->id)['wet'];
        $then = $wet();
        self::assertNotSame([], $then);
        $dry = Carbon::parse($then[0]['until']);
        self::assertTrue($dry->isFuture());
        self::assertEqualsWithDelta($first['dry'] * 60, abs($dry->diffInSeconds(now())), 30);
        Carbon::setTestNow($dry->copy()->addMinutes(1));
        self::assertSame([], array_filter($wet(), fn (array $w) => $w['until'] === $then[0]['until']));
        Carbon::setTestNow();
    }

    public function test_the_palette_is_told_in_drops_for_the_models_that_still_need_a_pass(): void
    {
        [$unit, $piece, $batch] = $this->batch();
        $at = (int) collect($batch['passes'])->search(fn (array $p) => $p['pot']['paints'] !== [] && $p['pot']['models'] > 1);
        $pass = $batch['passes'][$at];
        $sum = fn (array $pot): float => array_sum(array_column($pot['paints'], 'ml'));
        self::assertSame(count($batch['pieces']), $pass['pot']['models']);
        foreach ($pass['pot']['paints'] as $need) {
            self::assertEqualsWithDelta(20 * $need['ml'], $need['drops'], 1.2, 'twenty drops to the millilitre, whole ones');
        }
        $this->mark($piece, array_merge(...array_column(array_slice($batch['passes'], 0, $at + 1), 'steps')), null);
        $then = $this->api('painter', 'GET', "bench/$unit->id", null, 200)->json("passes.$at.pot");
        self::assertSame($pass['pot']['models'] - 1, $then['models']);
        self::assertEqualsWithDelta($sum($pass['pot']) * $then['models'] / $pass['pot']['models'], $sum($then), 0.02);
    }

    public function test_a_tap_that_waited_for_a_connection_dries_from_when_it_was_made_and_never_from_what_is_to_come(): void
    {
        [, $piece, $batch] = $this->batch();
        $tapped = now()->subMinutes(10)->startOfSecond();
        $marks = fn (int $pass, Carbon $at, int $status) => $this->api('painter', 'POST', 'bench/marks', [
            'pieces' => [$piece->id],
            'steps' => $batch['passes'][$pass]['steps'],
            'at' => $at->copy()->utc()->format('Y-m-d\TH:i:s\Z'),
        ], $status);
        $last = fn (): Carbon => StepLog::query()->where('piece_id', $piece->id)->latest('id')->firstOrFail()->done_at;
        $marks(0, $tapped, 200);
        self::assertTrue($tapped->eq($last()), (string) $last());
        $marks(1, now()->addHour(), 200);
        self::assertLessThanOrEqual(5, abs($last()->diffInSeconds(now())), 'a clock that is ahead counts as now');
        $marks(2, now()->subDays(4), 422)->assertJsonPath('errors.0.pointer', '/at');
    }

    public function test_minutes_of_the_clock_are_spread_by_what_was_planned_and_planned_ones_are_never_booked(): void
    {
        [, $piece, $batch] = $this->batch();
        $open = array_values(array_filter($batch['passes'], fn (array $p) => array_diff($p['steps'], $batch['pieces'][0]['done']) !== []));
        $this->mark($piece, $open[0]['steps'], null);
        self::assertNull(StepLog::query()->where('piece_id', $piece->id)->latest('id')->firstOrFail()->minutes);
        $steps = [...$open[1]['steps'], ...$open[2]['steps']];
        $this->mark($piece, $steps, 30.0);
        $logs = StepLog::query()->where('piece_id', $piece->id)->whereIn('step', $steps)->get();
        self::assertEqualsWithDelta(30.0, $logs->sum(fn (StepLog $l) => (float) $l->minutes), 0.05);
        $ratios = $logs->map(fn (StepLog $l) => (float) $l->minutes / (float) $l->planned_minutes);
        self::assertEqualsWithDelta($ratios->min(), $ratios->max(), 0.6 * $ratios->max());
    }

    public function test_wrong_minutes_are_corrected_with_a_reason_and_what_was_told_is_kept(): void
    {
        [$unit, $piece, $batch] = $this->batch();
        $steps = [...$batch['passes'][0]['steps'], ...$batch['passes'][1]['steps']];
        $this->mark($piece, $steps, 240.0);
        $time = fn (string $who): array => $this->api($who, 'GET', "bench/$unit->id/time", null, 200)->json('data');
        [$tap] = $time('painter');
        self::assertSame([240, true, []], [(int) $tap['minutes'], $tap['may_correct'], $tap['corrected']]);
        self::assertFalse($time('odo')[0]['may_correct']);
        $put = fn (string $who, array $with, int $status) => $this->api($who, 'PUT', "bench/$unit->id/time", $with + [
            'logs' => $tap['logs'], 'minutes' => 24.0, 'reason' => 'The clock was forgotten over lunch.',
        ], $status);
        $put('painter', ['reason' => ''], 422)->assertJsonPath('errors.0.pointer', '/reason');
        $put('painter', ['logs' => [999_999]], 404);
        $put('odo', [], 403);
        $put('painter', [], 200);
        $put('painter', [], 200);
        [$then] = $time('painter');
        self::assertEqualsWithDelta(24.0, $then['minutes'], 0.05);
        self::assertSame(['The clock was forgotten over lunch.'], array_column($then['corrected'], 'reason'));
        $logs = StepLog::query()->whereKey($tap['logs'])->get();
        self::assertEqualsWithDelta(240.0, $logs->sum(fn (StepLog $l) => (float) $l->minutes), 0.05, 'what was told stays');
        $rows = DB::table('time_corrections')->whereIn('step_log_id', $tap['logs']);
        self::assertSame(count($tap['logs']), $rows->count(), 'sent twice, it is corrected once');
        self::assertEqualsWithDelta(240.0, (float) $rows->sum('before'), 0.05);
        // What a model cost is told by what is right.
        self::assertEqualsWithDelta(24.0, (float) $logs->sum('spent'), 0.05);
        $put('lead', ['minutes' => null, 'reason' => 'Nobody knows.'], 200);
        self::assertNull($time('lead')[0]['minutes']);
        $this->expectExceptionMessage('A correction stays as it was made');
        DB::table('time_corrections')->whereIn('step_log_id', $tap['logs'])->update(['after' => 1]);
    }

    /** @return array{Unit, Piece, array<string, mixed>} a batch, one of its models that is worked on, and what the bench shows */
    private function batch(): array
    {
        $unit = $this->unit('26-041');
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision], 200);
        $batch = $this->api('painter', 'GET', "bench/$unit->id", null, 200)->json();

        return [$unit, Piece::query()->findOrFail($batch['pieces'][0]['id']), $batch];
    }

    /** @param  list<string>  $steps */
    private function mark(Piece $piece, array $steps, ?float $minutes): void
    {
        $body = ['pieces' => [$piece->id], 'steps' => $steps] + ($minutes === null ? [] : ['minutes' => $minutes]);
        $this->api('painter', 'POST', 'bench/marks', $body, 200);
    }
}
