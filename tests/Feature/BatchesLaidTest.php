<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench\LayBatches;
use App\Exceptions\Conflict;
use App\Models\Activity;
use App\Models\BatchRow;
use App\Models\GateAnswer;
use App\Models\Piece;
use App\Models\StepLog;
use App\Models\Studio;
use App\Models\Unit;
use App\Repositories\BatchStates;
use Illuminate\Support\Carbon;
use Ordotype\Core\Bench\Stage;

/** Batches: who paints which models together, what each does next, and when it is finished. */
final class BatchesLaidTest extends StudioTestCase
{
    /** A Wednesday, an hour before anybody begins. */
    private const NOW = '2026-12-02 08:00:00';

    protected function setUp(): void
    {
        parent::setUp();
        // The demo's own batch would hold its models.
        BatchRow::query()->delete();
        Carbon::setTestNow(self::NOW);
        Studio::row()->update(['time_zone' => 'UTC']);
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_a_batch_lies_in_its_painters_hours_and_ends_when_the_last_hand_comes_off(): void
    {
        $batch = $this->made();
        self::assertGreaterThan(1, count($batch['runs']));
        self::assertSame(0, $batch['left']);
        self::assertFalse($batch['loose']);
        $people = array_column($batch['painters'], null, 'user');
        foreach ($batch['runs'] as $run) {
            [$from, $to] = [Carbon::parse($run['from']), Carbon::parse($run['to'])];
            $hand = $people[$run['painter']];
            self::assertContains($from->dayOfWeekIso, $hand['days']);
            self::assertGreaterThanOrEqual($hand['from'], $from->format('H:i'));
            self::assertLessThanOrEqual($hand['to'].':01', $to->format('H:i:s'));
        }
        $last = max(array_column($batch['runs'], 'to'));
        if ($batch['more_runs'] === 0) {
            self::assertSame($last, $batch['finish']);
        }
        $alone = $this->made(['painters' => [$this->hand('painter')], 'units' => [$this->unit('26-041')->id]], release: '26-041');
        self::assertSame([$this->person('painter')->id], array_values(array_unique(array_column($alone['runs'], 'painter'))));
        $list = $this->api('painter', 'GET', 'batches', null, 200)->json('data');
        self::assertSame(['The watch', 'The watch'], array_column($list, 'name'));
        self::assertSame([$batch['brief']['id'], $alone['brief']['id']], array_column($list, 'id'));
    }

    public function test_what_a_painter_is_told_to_do_is_taken_by_the_bench_and_then_something_else_is_next(): void
    {
        $batch = $this->made(['painters' => [$this->hand('painter')]]);
        Carbon::setTestNow('2026-12-02 09:00:00');
        $id = $batch['brief']['id'];
        $shown = fn (): array => $this->api('painter', 'GET', "batches/$id", null, 200)->json();
        $runs = count($shown()['runs']);
        $seen = [];
        for ($n = 0; $n < 6; $n++) {
            $next = $shown()['painters'][0]['next'];
            if ($next['why'] === 'waiting') {
                self::assertGreaterThan(now()->toIso8601ZuluString(), $next['until']);
                Carbon::setTestNow(Carbon::parse($next['until'])->addSecond());

                continue;
            }
            self::assertContains($next['why'], ['turn', 'ahead']);
            $does = $next['does'];
            $unit = Unit::query()->findOrFail($does['unit']);
            $release = $this->api('painter', 'GET', "bench/$unit->id", null, 200)->json();
            $pass = $release['passes'][$does['pass'] - 1];
            self::assertSame($does['technique'], $pass['technique']);
            $pieces = array_filter($release['pieces'], fn (array $p) => in_array($p['number'], $does['models'], true));
            Carbon::setTestNow(now()->addMinutes((int) ceil($does['minutes'])));
            $this->api('painter', 'POST', 'bench/marks', [
                'pieces' => array_column($pieces, 'id'),
                'steps' => $pass['steps'],
            ], 200);
            $seen[] = $does['technique'].' '.implode(',', $does['models']);
        }
        self::assertSame($seen, array_values(array_unique($seen)), 'nothing is told twice');
        $after = $shown();
        self::assertLessThan($runs + $batch['more_runs'], count($after['runs']) + $after['more_runs']);
        self::assertLessThan($batch['hand_minutes'], $after['hand_minutes']);
        foreach ($after['drying'] as $wet) {
            self::assertGreaterThan(now()->toIso8601ZuluString(), $wet['until']);
        }
    }

    public function test_a_model_is_in_one_batch_and_free_again_when_that_is_ended(): void
    {
        $unit = $this->unit('26-038');
        $batch = $this->made();
        $this->api('lead', 'POST', 'batches', $this->body(), 409)
            ->assertJsonPath('errors.0.pointer', '/units');
        $id = $batch['brief']['id'];
        $this->api('lead', 'DELETE', "batches/$id", null, 204);
        $this->api('lead', 'DELETE', "batches/$id", null, 204);
        self::assertSame(1, Activity::query()->where('action', 'batch.ended')->count());
        self::assertSame(0, Piece::query()->where('unit_id', $unit->id)->whereNotNull('batch_id')->count());
        $this->api('lead', 'PUT', "batches/$id", $this->change($batch), 409);
        self::assertSame([], $this->api('lead', 'GET', 'batches', null, 200)->json('data'));
        $this->made();
        self::assertSame(1, BatchRow::query()->whereNull('ended_at')->count());
    }

    public function test_other_painters_lay_it_out_anew_and_an_old_look_is_refused(): void
    {
        $batch = $this->made(['painters' => [$this->hand('painter')]]);
        $id = $batch['brief']['id'];
        $two = $this->change($batch, ['painters' => [$this->hand('painter'), $this->hand('lead')]]);
        $changed = $this->api('lead', 'PUT', "batches/$id", $two, 200)->json();
        self::assertLessThan($batch['finish'], $changed['finish']);
        self::assertCount(2, array_unique(array_column($changed['runs'], 'painter')));
        $this->api('lead', 'PUT', "batches/$id", $two, 409)->assertJsonPath('current.revision', $changed['revision']);
        $this->api('lead', 'POST', "batches/$id/runs", ['revision' => $changed['revision']], 200);
        $anew = $this->api('painter', 'GET', "batches/$id/anew", null, 200)->json();
        self::assertSame([false, 0], [$anew['is_better'], $anew['left']], 'laid out a moment ago, nothing is better');
        self::assertEqualsWithDelta(0.0, $anew['sooner'], 0.1);
    }

    public function test_a_lost_model_leaves_the_runs_and_a_painter_without_the_skill_is_given_none(): void
    {
        $batch = $this->made();
        $id = $batch['brief']['id'];
        $piece = Piece::query()->where('batch_id', $id)->orderBy('number')->firstOrFail();
        $piece->update(['stage' => Stage::Lost->value]);
        $shown = $this->api('lead', 'GET', "batches/$id", null, 200)->json();
        $of = fn (array $b): array => array_merge([], ...array_map(
            fn (array $r) => $r['does']['unit'] === $piece->unit_id ? $r['does']['models'] : [],
            $b['runs'],
        ));
        self::assertContains($piece->number, $of($batch));
        self::assertNotContains($piece->number, $of($shown));
        self::assertLessThan($batch['hand_minutes'], $shown['hand_minutes']);
        $this->person('painter')->update(['skill' => 1]);
        $alone = $this->change($shown, ['painters' => [$this->hand('painter')]]);
        $left = $this->api('lead', 'PUT', "batches/$id", $alone, 200)->json();
        self::assertGreaterThan(0, $left['left']);
        self::assertNull($left['finish']);
        self::assertTrue($left['loose']);
    }

    public function test_a_day_shows_each_painters_board_what_was_done_what_is_to_come_and_when_they_are_free(): void
    {
        $batch = $this->made();
        $of = fn (string $query): array => $this->api('painter', 'GET', "bench/day$query", null, 200)->json();
        $day = $of('');
        self::assertSame('2026-12-02', $day['on']);
        self::assertSame([$batch['brief']['id']], array_column(array_column($day['batches'], 'brief'), 'id'));
        self::assertCount(2, $day['boards']);
        foreach ($day['boards'] as $board) {
            self::assertSame('2026-12-02T09:00:00Z', $board['hours']['from']);
            $at = $board['hours']['from'];
            foreach ($board['blocks'] as $block) {
                self::assertGreaterThanOrEqual($at, $block['from'], 'nobody does two things at once');
                self::assertLessThanOrEqual($board['hours']['to'], $block['to']);
                self::assertTrue($block['dry'] === null || $block['dry'] > $block['to']);
                $at = $block['to'];
            }
            foreach ($board['free'] as $gap) {
                foreach ($board['blocks'] as $block) {
                    self::assertTrue($block['to'] <= $gap['from'] || $block['from'] >= $gap['to'], 'free is free');
                }
            }
        }
        // A day off, and one on which nothing of it is left.
        self::assertSame([null, null], array_column($of('?on=2026-12-05')['boards'], 'hours'));
        self::assertSame([[], []], array_column($of('?on=2027-02-03')['boards'], 'blocks'));
        $this->api('painter', 'GET', 'bench/day?on=someday', null, 422);
        $this->api('desk', 'GET', 'bench/day', null, 403);
        // What was marked stands on the board as it was done.
        Carbon::setTestNow('2026-12-02 09:30:00');
        $next = array_column($batch['painters'], 'next')[0]['does'];
        $bench = $this->api('painter', 'GET', "bench/{$next['unit']}", null, 200)->json();
        $piece = collect($bench['pieces'])->firstWhere('number', $next['models'][0])['id'];
        $this->api('painter', 'POST', 'bench/marks', [
            'pieces' => [$piece],
            'steps' => $bench['passes'][$next['pass'] - 1]['steps'],
        ], 200);
        $done = array_filter(
            array_merge(...array_column($of('')['boards'], 'blocks')),
            fn (array $b) => $b['done'] && $b['does']['pass'] === $next['pass'],
        );
        self::assertSame(['2026-12-02T09:30:00Z'], array_values(array_column($done, 'to')));
    }

    public function test_nobody_is_counted_on_while_they_are_away(): void
    {
        $alone = ['painters' => [$this->hand('painter')]];
        $before = $this->made($alone);
        $painter = $this->person('painter');
        $change = ['revision' => $painter->revision, 'away' => [['from' => '2026-12-02', 'to' => '2026-12-04']]];
        $this->api('lead', 'PUT', "people/$painter->id", ['away' => [['from' => '2026-12-04', 'to' => '2026-12-02']]] + $change, 422)
            ->assertJsonPath('errors.0.pointer', '/away/0/to');
        $this->api('lead', 'PUT', "people/$painter->id", $change, 200)->assertJsonPath('away.0.to', '2026-12-04');
        $then = $this->api('lead', 'GET', "batches/{$before['brief']['id']}", null, 200)->json();
        // Wednesday to Friday she is away, and does not paint at the week-end.
        self::assertSame('2026-12-07', substr(min(array_column($then['runs'], 'from')), 0, 10));
        self::assertGreaterThan($before['finish'], $then['finish']);
        self::assertNull($this->api('lead', 'GET', 'bench/day?on=2026-12-03', null, 200)->json('boards.0.hours'));
    }

    public function test_a_batch_that_goes_otherwise_than_it_was_laid_out_is_laid_out_anew_by_itself_where_that_ends_sooner(): void
    {
        $batch = $this->made();
        $id = $batch['brief']['id'];
        $shown = fn (): array => $this->api('lead', 'GET', "batches/$id", null, 200)->json();
        $lay = app(LayBatches::class);
        self::assertFalse($lay->follow(BatchRow::query()->findOrFail($id)), 'all is as it was');
        self::assertSame($batch['revision'], $shown()['revision']);
        // One of the two is not there for the rest of the week: the other takes over what she would have done.
        $painter = $this->person('painter');
        $painter->update(['away' => [['from' => '2026-12-02', 'to' => '2026-12-06']]]);
        $late = $shown()['finish'];
        self::assertGreaterThan($batch['finish'], $late);
        $this->api('lead', 'PUT', "people/$painter->id", ['revision' => $painter->revision, 'skill' => $painter->skill], 200);
        $then = $shown();
        self::assertSame($batch['revision'] + 1, $then['revision']);
        self::assertLessThan($late, $then['finish']);
        $log = Activity::query()->where('action', 'batch.laid_anew')->get();
        self::assertCount(1, $log, 'both ends are on record');
        self::assertFalse($lay->follow(BatchRow::query()->findOrFail($id)), 'looked at once more, it stays');
        $this->expectException(Conflict::class);
        $lay->layAnew(BatchRow::query()->findOrFail($id), $batch['revision']);
    }

    public function test_how_long_a_gate_is_waited_for_is_learned_from_ten_answers(): void
    {
        GateAnswer::query()->delete();
        self::assertSame(60.0, BatchStates::usualWait());
        $log = StepLog::query()->orderBy('done_at')->firstOrFail();
        foreach ([5, 5, 10, 10, 12, 14, 20, 30, 400, 900] as $n => $minutes) {
            self::assertSame(60.0, BatchStates::usualWait(), "after $n answers");
            GateAnswer::query()->create([
                'piece_id' => $log->piece_id, 'gate' => 'prepared', 'passed' => true, 'note' => null,
                'user_id' => $log->user_id, 'answered_at' => $this->latest($log)->addMinutes($minutes),
            ]);
        }
        self::assertEqualsWithDelta(13.0, BatchStates::usualWait(), 0.05, 'between 12 and 14: one night moves nothing');
    }

    private function latest(StepLog $log): Carbon
    {
        return Carbon::parse((string) StepLog::query()->where('piece_id', $log->piece_id)->max('done_at'));
    }

    public function test_an_order_says_when_it_is_painted_once_all_its_models_are_in_batches(): void
    {
        $unit = $this->unit('26-038');
        $of = fn (): array => $this->api('desk', 'GET', "orders/$unit->order_id/forecast", null, 200)->json();
        self::assertSame(['finish' => null, 'units' => [], 'in_no_batch' => [$unit->id]], $of());
        $batch = $this->made();
        $told = $of();
        self::assertSame($batch['finish'], $told['finish']);
        self::assertSame([['unit' => $unit->id, 'finish' => $batch['finish']]], $told['units']);
        self::assertSame($batch['finish'], $batch['brief']['units'][0]['finish']);
        Piece::query()->where('unit_id', $unit->id)->orderByDesc('id')->firstOrFail()->update(['batch_id' => null]);
        self::assertNull($of()['finish'], 'one model is in no batch: nobody knows');
        $this->api('painter', 'GET', "orders/$unit->order_id/forecast", null, 403);
    }

    public function test_what_is_wrong_in_it_is_named_and_who_may_not_is_refused(): void
    {
        $this->api('painter', 'POST', 'batches', $this->body(), 403);
        $this->api('desk', 'GET', 'batches', null, 403);
        $bad = [
            '/units/0' => ['units' => [999_999]],
            '/painters' => ['painters' => []],
            '/painters/0/user' => ['painters' => [$this->hand('desk')]],
            '/painters/0/to' => ['painters' => [['to' => '08:00'] + $this->hand('lead')]],
            '/starts_at' => ['starts_at' => 'tomorrow'],
            '/guns' => ['guns' => 0],
        ];
        foreach ($bad as $path => $with) {
            $answer = $this->api('lead', 'POST', 'batches', $with + $this->body(), 422);
            self::assertContains($path, array_column($answer->json('errors'), 'pointer'), (string) $answer->getContent());
        }
        $draft = Unit::query()->whereNull('released_at')->firstOrFail();
        $this->api('lead', 'POST', 'batches', ['units' => [$draft->id]] + $this->body(), 409);
        self::assertSame(0, BatchRow::query()->count());
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function made(array $with = [], ?string $release = null): array
    {
        if ($release !== null) {
            $unit = $this->unit($release);
            $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision], 200);
        }

        return $this->api('lead', 'POST', 'batches', $with + $this->body(), 201)->json();
    }

    /** @return array<string, mixed> */
    private function body(): array
    {
        return [
            'name' => 'The watch',
            'units' => [$this->unit('26-038')->id],
            'painters' => [$this->hand('painter'), $this->hand('lead')],
            'starts_at' => '2026-12-02T09:00:00Z',
            'guns' => 1,
            'fan' => false,
        ];
    }

    /**
     * @param  array<string, mixed>  $batch
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function change(array $batch, array $with = []): array
    {
        return $with + ['revision' => $batch['revision']] +
            array_intersect_key($this->body(), array_flip(['name', 'painters', 'guns', 'fan']));
    }

    /** @return array<string, mixed> */
    private function hand(string $who): array
    {
        $id = $this->person($who)->id;

        return ['user' => $id, 'from' => '09:00', 'to' => '15:00', 'days' => [1, 2, 3, 4, 5], 'largest' => null];
    }
}
