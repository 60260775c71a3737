<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\Piece;
use App\Models\StepLog;
use App\Repositories\Releases;
use App\Studio\BenchWork;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\WantedStep;
use Ordotype\Core\Standard\Effect;

/** Faults that are noted, what a repair takes, and what the bench books. */
final class FaultsAndRepairsTest extends StudioTestCase
{
    public function test_a_noted_fault_stays_until_somebody_takes_it_away(): void
    {
        [$check, $question] = $this->openCheck();
        $fault = [
            'fault' => $question['faults'][0],
            'area' => $question['areas'][0] ?? null,
            'spread' => 'patch',
            'size_mm' => null,
        ];
        $answer = ['question' => $question['key'], 'answer' => 'fault', 'faults' => [$fault]];
        $noted = $this->api('lead', 'PUT', "checks/$check/answers", $answer, 200)->json('faults');
        self::assertCount(1, $noted);
        $this->api('lead', 'PUT', "checks/$check/answers", ['question' => $question['key'], 'answer' => 'yes'], 409);
        self::assertCount(1, $this->api('lead', 'GET', "checks/$check", null, 200)->json('faults'));
        $this->api('lead', 'DELETE', "checks/$check/faults/999999", null, 404);
        $gone = $this->api('lead', 'DELETE', "checks/$check/faults/{$noted[0]['id']}", null, 200);
        self::assertSame([], $gone->json('faults'));
        self::assertNotContains(
            $question['key'],
            array_column($gone->json('answers'), 'question'),
            'it is asked again',
        );
        $this->api('lead', 'PUT', "checks/$check/answers", ['question' => $question['key'], 'answer' => 'yes'], 200);
    }

    /** A double press is told by its key; two marks of one kind on one area are two faults. */
    public function test_a_second_fault_of_one_kind_on_one_area_is_noted_and_a_double_press_is_not(): void
    {
        [$check, $question] = $this->openCheck();
        $fault = [
            'fault' => $question['faults'][0],
            'area' => $question['areas'][0] ?? null,
            'spread' => 'spot',
            'pin' => ['view' => 'front', 'x' => 0.2, 'y' => 0.3],
        ];
        $press = fn (string $key, array $found): array => $this->withHeader('Idempotency-Key', $key)
            ->api('lead', 'PUT', "checks/$check/answers", [
                'question' => $question['key'],
                'answer' => 'fault',
                'faults' => [$found],
            ], 200)
            ->json('faults');
        self::assertCount(1, $press('the-first-press', $fault));
        self::assertCount(1, $press('the-first-press', $fault), 'the same press');
        $other = $press('the-second-press', ['pin' => ['view' => 'front', 'x' => 0.7, 'y' => 0.3]] + $fault);
        self::assertSame([0.2, 0.7], array_map(fn (array $f) => $f['pin']['x'], $other));
        self::assertCount(3, $press('the-third-press', $fault), 'alike to the pin, and still another one');
    }

    public function test_varnish_that_was_left_out_or_painted_over_is_not_on(): void
    {
        $piece = Piece::query()
            ->findOrFail((int) Check::query()->whereNull('closed_at')->value('piece_id'))
            ->load('unit');
        $work = app(BenchWork::class);
        self::assertTrue($work->isVarnished($piece));
        $varnish = fn () => StepLog::query()->where('piece_id', $piece->id)->where('technique', 'matt_varnish');
        $log = $varnish()->firstOrFail();
        $undo = $log->replicate(['standing'])->fill(['undoes' => $log->id]);
        $undo->save();
        $log->update(['undone_by' => $undo->id]);
        self::assertFalse($work->isVarnished($piece), 'taken back');
        $log->replicate(['standing', 'undone_by'])->fill(['skipped' => 'Damp weather.'])->save();
        self::assertFalse($work->isVarnished($piece), 'left out');
        $again = $log->replicate(['standing', 'undone_by'])->fill(['step' => 'again']);
        $again->save();
        self::assertTrue($work->isVarnished($piece));
        $varnish()->whereKey($again->id)->update(['covered_by' => 2]);
        self::assertFalse($work->isVarnished($piece), 'painted over');
    }

    public function test_the_varnish_of_a_repair_comes_after_what_it_covers(): void
    {
        $piece = Piece::query()->where('stage', 'rework')->with('unit')->firstOrFail();
        $repairs = app(BenchWork::class)->of($piece, app(Releases::class)->of($piece->unit))->repairs;
        $protects = fn (WantedStep $s): bool => $s->technique->has(Effect::Protect);
        $varnish = array_keys(array_filter($repairs, $protects));
        self::assertSame($varnish, array_slice(array_keys($repairs), -count($varnish)), 'it is listed last');
        $mark = fn (array $steps, int $status) => $this->api(
            'painter',
            'POST',
            'bench/marks',
            ['pieces' => [$piece->id], 'steps' => $steps],
            $status,
        );
        $before = $piece->logs()->count();
        $mark($varnish, 409);
        self::assertSame($before, $piece->logs()->count());
        $mark(array_keys(array_diff_key($repairs, array_flip($varnish))), 200);
        $mark($varnish, 200);
    }

    public function test_keys_of_steps_may_be_as_long_as_areas_and_techniques_make_them(): void
    {
        $unit = $this->unit('26-038');
        $area = str_repeat('a', 64);
        $key = "$area:".str_repeat('t', 64).':'.str_repeat('9', 8);
        self::assertGreaterThan(80, strlen($key));
        $piece = $unit->pieces()->firstOrFail();
        $this->api(
            'painter',
            'POST',
            'bench/marks',
            ['pieces' => [$piece->id], 'steps' => [$key]],
            422,
        )->assertJsonPath('errors.0.detail', "Model $piece->number has no such step.");
        $at = [
            'piece_id' => $piece->id,
            'technique' => 't',
            'family' => 'base',
            'user_id' => 1,
            'done_at' => now(),
            'planned_minutes' => 1,
        ];
        DB::table('step_logs')->insert(['step' => $key] + $at);
        self::assertSame(
            $key,
            DB::table('step_logs')->where('piece_id', $piece->id)->where('technique', 't')->value('step'),
        );
    }

    /** @return array{int, array<string, mixed>} an open check and a question of it that is not answered */
    private function openCheck(): array
    {
        $check = (int) Check::query()->whereNull('closed_at')->value('id');
        $shown = $this->api('lead', 'GET', "checks/$check", null, 200);
        $answered = array_column($shown->json('answers'), 'question');
        foreach ($shown->json('questions') as $question) {
            if (
                ! in_array($question['key'], $answered, true) &&
                $question['faults'] !== [] &&
                $question['areas'] !== []
            ) {
                return [$check, $question];
            }
        }
        self::fail('nothing is open');
    }

    public function test_a_piece_that_is_held_or_lost_during_its_check_is_neither_answered_for_nor_passed(): void
    {
        $check = Check::query()->with('piece')->whereNull('closed_at')->firstOrFail();
        $answer = ['question' => $check->questions[0]['key'], 'answer' => 'yes'];
        foreach (['hold' => 'on hold', 'lose' => 'lost'] as $move => $stage) {
            $this->api('desk', 'POST', "pieces/$check->piece_id/move", ['move' => $move, 'reason' => 'Dropped.'], 200);
            $said = $this->api('odo', 'PUT', "checks/$check->id/answers", $answer, 409)->json('detail');
            self::assertStringContainsString($stage, $said);
            foreach (['passed', 'rework', 'accepted'] as $verdict) {
                $closing = ['verdict' => $verdict, 'reason' => 'Never mind.'];
                $this->api('odo', 'POST', "checks/$check->id/verdict", $closing, 409);
            }
        }
        self::assertNull($check->refresh()->closed_at);
        self::assertSame('lost', $check->piece->refresh()->stage);
    }

    public function test_a_step_that_is_taken_back_stays_in_the_log_with_who_took_it_back(): void
    {
        $unit = $this->unit('26-038');
        $piece = $unit->pieces()->where('stage', 'on_bench')->firstOrFail();
        $log = $piece->logs()->orderByDesc('id')->firstOrFail();
        $rows = StepLog::query()->withoutGlobalScopes()->count();
        $this->api('painter', 'DELETE', 'bench/marks', ['pieces' => [$piece->id], 'steps' => [$log->step]], 200);
        self::assertSame($rows + 1, StepLog::query()->withoutGlobalScopes()->count());
        $undo = StepLog::query()->withoutGlobalScopes()->where('undoes', $log->id)->firstOrFail();
        self::assertSame($undo->id, StepLog::query()->withoutGlobalScopes()->findOrFail($log->id)->undone_by);
        self::assertSame($this->person('painter')->id, $undo->user_id);
        self::assertFalse($piece->logs()->where('step', $log->step)->exists());
        // Taken back twice, it is taken back once; what was never done cannot be.
        $this->api('painter', 'DELETE', 'bench/marks', ['pieces' => [$piece->id], 'steps' => [$log->step]], 200);
        self::assertSame($rows + 1, StepLog::query()->withoutGlobalScopes()->count());
        $this->api('painter', 'DELETE', 'bench/marks', ['pieces' => [$piece->id], 'steps' => ['never:done']], 404);
        // Done again, it is done once.
        $again = ['pieces' => [$piece->id], 'steps' => [$log->step]];
        $this->api('painter', 'POST', 'bench/marks', $again, 200);
        $this->api('painter', 'POST', 'bench/marks', $again, 200);
        self::assertSame(1, $piece->logs()->where('step', $log->step)->count());
    }
}
