<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Activity;
use App\Models\Answer;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\Piece;
use Illuminate\Support\Facades\Queue;

/** A check walked look by look, by one person at a time. */
final class LooksTest extends StudioTestCase
{
    public function test_a_look_is_answered_at_once_and_its_faults_and_single_answers_stay(): void
    {
        $check = $this->opened();
        $id = $check['id'];
        self::assertGreaterThanOrEqual(6, count($check['looks']));
        self::assertSame('Cover and clean borders', $check['looks'][0]['name']);
        $tones = 'front.tones';
        $of = array_values(array_filter($check['questions'], fn (array $q) => $q['look'] === $tones));
        self::assertGreaterThan(3, count($of));
        $this->note($id, $of[0], ['fault' => 'tide_mark', 'area' => 'coat', 'spread' => 'patch']);
        $this->api('lead', 'PUT', "checks/$id/answers", ['question' => $of[1]['key'], 'answer' => 'not_seen'], 200);
        $look = fn (array $with, int $status) => $this->api('lead', 'PUT', "checks/$id/looks", $with, $status);
        $look(['look' => $tones, 'answer' => 'fault'], 422);
        $look(['look' => 'front.nothing', 'answer' => 'yes'], 404);
        $look(['look' => $tones, 'answer' => 'not_applicable'], 422)->assertJsonPath('errors.0.pointer', '/note');
        $shown = $look(['look' => $tones, 'answer' => 'yes'], 200)->json();
        $answers = array_column($shown['answers'], null, 'question');
        self::assertSame(['fault', null], [$answers[$of[0]['key']]['answer'], $answers[$of[0]['key']]['look']]);
        self::assertSame('not_seen', $answers[$of[1]['key']]['answer']);
        foreach (array_slice($of, 2) as $question) {
            $given = $answers[$question['key']];
            self::assertSame(['yes', $tones], [$given['answer'], $given['look']], 'one answer each, marked with its look');
        }
        self::assertCount(1, $shown['faults']);
        self::assertSame(count($of), Answer::query()->where('check_id', $id)->count());
        // Pressed twice it changes nothing; one of them can still be answered apart.
        $look(['look' => $tones, 'answer' => 'yes'], 200);
        self::assertSame(count($of), Answer::query()->where('check_id', $id)->count());
        $apart = ['question' => $of[2]['key'], 'answer' => 'not_applicable', 'note' => 'It has none.'];
        $again = $this->api('lead', 'PUT', "checks/$id/answers", $apart, 200)->json('answers');
        $given = array_column($again, null, 'question')[$of[2]['key']];
        self::assertSame(['not_applicable', null], [$given['answer'], $given['look']]);
    }

    public function test_what_cannot_be_seen_where_one_looks_first_is_listed_for_the_lead(): void
    {
        $check = $this->opened();
        $eyes = collect($check['questions'])->firstWhere('look', 'front.details');
        $shown = $this->api(
            'lead',
            'PUT',
            "checks/{$check['id']}/looks",
            ['look' => 'front.details', 'answer' => 'not_seen'],
            200,
        );
        self::assertContains($eyes['text'], $shown->json('verdict_so_far.unseen'));
        self::assertNotContains($eyes['key'], $shown->json('verdict_so_far.open'), 'it counts as answered');
    }

    public function test_one_person_holds_a_check_for_ten_minutes_and_another_can_take_it_over(): void
    {
        $check = $this->opened();
        $id = $check['id'];
        self::assertNull($check['held']);
        $answer = ['look' => 'front.cover', 'answer' => 'yes'];
        $seen = $this->api('odo', 'GET', "checks/$id", null, 200)->json();
        self::assertSame(['by' => 'Runa Wick', 'minutes' => 10], $seen['held']);
        self::assertSame([false, true], [$seen['may']['answer'], $seen['may']['take_over']]);
        $said = $this->api('odo', 'PUT', "checks/$id/looks", $answer, 409)->json('detail');
        self::assertStringStartsWith('Runa Wick is looking at this model', (string) $said);
        self::assertSame(0, Answer::query()->where('check_id', $id)->count());
        $this->travel(9)->minutes();
        $this->api('lead', 'PUT', "checks/$id/looks", $answer, 200);
        $this->travel(9)->minutes();
        $this->api('odo', 'PUT', "checks/$id/looks", $answer, 409);
        $this->travel(2)->minutes();
        $this->api('odo', 'PUT', "checks/$id/looks", ['look' => 'front.tones', 'answer' => 'yes'], 200);
        self::assertSame('Odo Marsh', $this->api('lead', 'GET', "checks/$id", null, 200)->json('held.by'));
        $this->api('lead', 'POST', "checks/$id/hold", null, 200)->assertJsonPath('held', null);
        $this->api('odo', 'PUT', "checks/$id/looks", $answer, 409);
        self::assertSame(1, Activity::query()->where('action', 'check.taken_over')->count());
    }

    public function test_what_a_fault_counts_is_said_before_it_is_noted_and_the_same_is_kept(): void
    {
        $check = $this->opened();
        $id = $check['id'];
        $asked = $this->askedFor($check, 'bare_primer', 'coat');
        $fault = ['fault' => 'bare_primer', 'area' => 'coat', 'spread' => 'spot', 'size_mm' => 0.05];
        $judge = fn (array $with, int $status) => $this->api(
            'lead',
            'POST',
            "checks/$id/judgement",
            ['question' => $asked['key']] + $with,
            $status,
        );
        $small = $judge($fault, 200)->json();
        self::assertSame('note', $small['severity']);
        self::assertStringContainsString('not noticed', $small['why']);
        $large = $judge(['size_mm' => 4] + $fault, 200)->json();
        self::assertSame('major', $large['severity']);
        self::assertNotSame([], $large['repair']);
        self::assertSame(0, FaultRow::query()->where('check_id', $id)->count(), 'nothing is noted by asking');
        $judge(['fault' => 'decal_torn'] + $fault, 422);
        $judge(['area' => 'nowhere'] + $fault, 422);
        $pin = ['view' => 'front', 'x' => 0.4, 'y' => 0.6];
        $noted = $this->note($id, $asked, ['size_mm' => 4, 'pin' => $pin] + $fault)['faults'][0];
        self::assertSame(
            [$large['severity'], $large['why'], $large['repair'], $pin],
            [$noted['severity'], $noted['why'], $noted['repair'], $noted['pin']],
        );
        $this->api('lead', 'PUT', "checks/$id/answers", [
            'question' => $asked['key'],
            'answer' => 'fault',
            'faults' => [['pin' => ['view' => 'inside', 'x' => 9]] + $fault],
        ], 422);
    }

    public function test_a_fault_can_be_chosen_by_a_drawing_of_it_where_it_can_be_drawn(): void
    {
        Queue::fake();
        $pictures = $this->api('painter', 'GET', 'faults/pictures', null, 200)->json('data');
        self::assertArrayHasKey('tide_mark', $pictures);
        self::assertArrayNotHasKey('decal_silvering', $pictures, 'what has no mark of its own is said in words');
        self::assertArrayNotHasKey('decal_missing', $pictures, 'what is not there cannot be shown');
        self::assertNotSame($pictures['eyes_uneven'], $pictures['rim_untidy']);
        self::assertSame($pictures, array_unique($pictures));
        $this->api(null, 'GET', "drawn/{$pictures['tide_mark']}", null, 200)->assertJsonPath('state', 'waiting');
    }

    public function test_a_lead_overrules_with_a_reason_and_what_was_worked_out_is_kept(): void
    {
        $check = $this->opened();
        $id = $check['id'];
        $asked = $this->askedFor($check, 'overspill', 'coat');
        $noted = $this->note($id, $asked, ['fault' => 'overspill', 'area' => 'coat', 'spread' => 'patch']);
        $fault = $noted['faults'][0];
        self::assertSame('major', $fault['severity']);
        self::assertGreaterThan(0, $noted['verdict_so_far']['repair_minutes']);
        $path = "checks/$id/faults/{$fault['id']}";
        $this->api('lead', 'PUT', $path, ['severity' => 'note', 'reason' => ' '], 422);
        $this->api('odo', 'PUT', $path, ['severity' => 'note', 'reason' => 'No.'], 403);
        $word = ['severity' => 'note', 'reason' => 'It lies in the fold.'];
        $shown = $this->api('lead', 'PUT', $path, $word, 200)->json();
        self::assertSame('note', $shown['faults'][0]['severity']);
        self::assertSame(
            ['was' => 'major', 'by' => 'Runa Wick', 'reason' => 'It lies in the fold.'],
            $shown['faults'][0]['overruled'],
        );
        self::assertSame(0, $shown['verdict_so_far']['counted']['major']);
        self::assertEquals(0, $shown['verdict_so_far']['repair_minutes']);
        $again = $this->api('lead', 'PUT', $path, ['severity' => 'minor', 'reason' => 'A little.'], 200)->json();
        self::assertSame('major', $again['faults'][0]['overruled']['was'], 'what was worked out, not the last word');
    }

    public function test_a_check_from_before_there_were_looks_keeps_its_questions_and_can_be_ended(): void
    {
        $check = Check::query()->whereNull('closed_at')->firstOrFail();
        $old = fn (string $key, ?string $view): array => [
            'key' => $key,
            'view' => $view,
            'text' => "Is it so, $key?",
            'areas' => ['coat'],
            'clauses' => [],
            'faults' => ['overspill'],
            'mandatory' => true,
            'severity' => null,
            'notice' => 1,
        ];
        $check->answers()->delete();
        $check->update(['questions' => [$old('a', 'front'), $old('b', 'front'), $old('final_look', null)]]);
        $shown = $this->api('lead', 'GET', "checks/$check->id", null, 200)->json();
        self::assertSame(['Is it so, a?', 'Is it so, b?', 'Is it so, final_look?'], array_column($shown['questions'], 'text'));
        self::assertSame(['front', 'whole'], array_column($shown['looks'], 'key'));
        foreach (['front', 'whole'] as $look) {
            $this->api('lead', 'PUT', "checks/$check->id/looks", ['look' => $look, 'answer' => 'yes'], 200);
        }
        $this->api('lead', 'POST', "checks/$check->id/verdict", ['verdict' => 'passed'], 200);
    }

    /** @return array<string, mixed> */
    private function opened(): array
    {
        $piece = Piece::query()->where('unit_id', $this->unit('26-033')->id)->where('number', 4)->firstOrFail();

        return $this->api('lead', 'POST', "pieces/$piece->id/check", null, 201)->json();
    }

    /**
     * @param  array<string, mixed>  $check
     * @return array<string, mixed>
     */
    private function askedFor(array $check, string $fault, string $area): array
    {
        return collect($check['questions'])->firstOrFail(
            fn (array $q) => in_array($fault, $q['faults'], true) && in_array($area, $q['areas'], true),
        );
    }

    /**
     * @param  array<string, mixed>  $asked
     * @param  array<string, mixed>  $fault
     * @return array<string, mixed>
     */
    private function note(int $check, array $asked, array $fault): array
    {
        return $this->api('lead', 'PUT', "checks/$check/answers", [
            'question' => $asked['key'],
            'answer' => 'fault',
            'faults' => [$fault],
        ], 200)->json();
    }
}
