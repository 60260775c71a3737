<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Answer;
use App\Models\Check;
use App\Models\Piece;
use App\Models\User;

/** Models of a unit, looked at side by side. */
final class TrayTest extends StudioTestCase
{
    public function test_one_key_a_look_answers_for_all_that_wait_and_a_last_one_passes_them(): void
    {
        $unit = $this->unit('26-033')->id;
        $shown = $this->api('lead', 'GET', "units/$unit/tray", null, 200)->json();
        self::assertSame([3, 4, 5, 6], array_column($shown['models'], 'number'), 'those that were offered');
        self::assertNotNull($shown['models'][0]['check'], 'somebody has begun with it');
        self::assertNull($shown['models'][1]['check'], 'looking opens nothing');
        self::assertNotSame([], $shown['looks'][0]['lines']);
        $keys = 0;
        foreach ($shown['looks'] as $look) {
            $shown = $this->api('lead', 'PUT', "units/$unit/tray", ['look' => $look['key'], 'answer' => 'yes'], 200)->json();
            $keys++;
            foreach ($shown['models'] as $model) {
                self::assertSame(0, $model['looks'][$look['key']]['open'], "{$look['key']} of {$model['number']}");
            }
        }
        self::assertSame([], $shown['left']);
        self::assertSame([true, true, true, true], array_column($shown['models'], 'passes'));
        $passed = $this->api('lead', 'POST', "units/$unit/tray", null, 200)->json();
        self::assertLessThan(60, $keys + 1);
        self::assertSame([[], []], [$passed['models'], $passed['left']]);
        $stages = Piece::query()->where('unit_id', $unit)->orderBy('number')->pluck('stage')->all();
        self::assertSame(['passed', 'rework', 'passed', 'passed', 'passed', 'passed'], $stages);
        $checks = Check::query()->whereIn('piece_id', Piece::query()->where('unit_id', $unit)->select('id'))->get();
        foreach ($checks->where('verdict', 'passed') as $check) {
            self::assertSame(count($check->questions), $check->answers()->count(), 'each has its own answers');
        }
    }

    public function test_a_model_that_is_struck_out_or_has_a_fault_stays_behind_and_is_told(): void
    {
        $unit = $this->unit('26-033')->id;
        $tray = $this->api('lead', 'GET', "units/$unit/tray", null, 200)->json();
        $struck = $tray['models'][3]['id'];
        $check = $this->api('lead', 'POST', "pieces/{$tray['models'][1]['id']}/check", null, 201)->json();
        $asked = collect($check['questions'])->firstWhere('look', 'front.tones');
        $this->api('lead', 'PUT', "checks/{$check['id']}/answers", [
            'question' => $asked['key'],
            'answer' => 'fault',
            'faults' => [['fault' => 'tide_mark', 'area' => 'coat', 'spread' => 'patch']],
        ], 200);
        foreach ($tray['looks'] as $look) {
            $body = ['look' => $look['key'], 'answer' => 'yes', 'except' => [$struck]];
            $shown = $this->api('lead', 'PUT', "units/$unit/tray", $body, 200)->json();
        }
        self::assertNull($shown['models'][3]['check'], 'it was not touched');
        self::assertSame(1, $shown['models'][1]['looks']['front.tones']['faults'], 'a fault stays');
        self::assertSame('fault', Answer::query()->where('question', $asked['key'])->where('check_id', $check['id'])->value('answer'));
        $left = $this->api('lead', 'POST', "units/$unit/tray", null, 200)->json();
        self::assertSame([4, 6], array_column($left['left'], 'number'));
        self::assertStringContainsString('back to the bench', $left['left'][0]['why']);
        self::assertSame(['passed', 'offered', 'passed', 'offered'], array_map(
            fn (int $n) => Piece::query()->where('unit_id', $unit)->where('number', $n)->value('stage'),
            [3, 4, 5, 6],
        ));
    }

    public function test_own_work_and_what_somebody_else_holds_is_left_out_and_told(): void
    {
        $unit = $this->unit('26-033')->id;
        $body = ['look' => 'front.cover', 'answer' => 'yes'];
        $own = $this->api('painter', 'PUT', "units/$unit/tray", $body, 200)->json();
        self::assertSame([3, 4, 5, 6], array_column($own['left'], 'number'));
        self::assertSame([true], array_values(array_unique(array_column($own['models'], 'own_work'))));
        $open = Check::query()->whereNull('closed_at')->firstOrFail();
        $open->hold(User::query()->where('email', 'like', 'odo@%')->firstOrFail());
        $held = $this->api('lead', 'PUT', "units/$unit/tray", $body, 200)->json();
        self::assertSame([3], array_column($held['left'], 'number'));
        self::assertStringStartsWith('Odo Marsh is looking', $held['left'][0]['why']);
        self::assertSame('Odo Marsh', $held['models'][0]['held_by']);
        $this->api('lead', 'PUT', "units/$unit/tray", ['look' => 'front.cover', 'answer' => 'fault'], 422);
        $without = $this->api('lead', 'PUT', "units/$unit/tray", ['answer' => 'not_applicable'] + $body, 200)->json();
        self::assertStringContainsString('Say why', $without['left'][1]['why']);
    }
}
