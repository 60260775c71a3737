<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\GateAnswer;
use App\Models\Piece;
use App\Models\ReleaseRow;
use App\Models\Scheme;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\BenchWork;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;

/** One model is painted first and settles the colours of the rest; and what finished models can still be given. */
final class TestModelTest extends StudioTestCase
{
    public function test_a_rejected_test_model_holds_the_rest_until_its_colours_are_changed_and_one_is_accepted(): void
    {
        $unit = $this->unit('26-041');
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision], 200);
        [$first, $second] = $unit->pieces()->orderBy('number')->limit(2)->pluck('id')->map(fn ($id) => (int) $id)->all();
        $under = [Phase::Prepare, Phase::Undercoat, Phase::Value];
        $ground = $this->steps($unit, fn (Step $s) => in_array($s->phase, $under, true));
        $paint = $this->steps($unit, fn (Step $s) => ! in_array($s->phase, $under, true) && $s->phase->value < 170);
        $test = $this->test($unit);
        self::assertSame([null, false, 12], [$test['model'], $test['is_painted'], count($test['rest'])]);

        $judge = fn (string $who, array $word, int $status) => $this->api($who, 'POST', "units/$unit->id/test-model", $word, $status);
        $judge('lead', ['passed' => true], 409)->assertJsonPath('errors.0.pointer', '/passed');
        $this->api('lead', 'PUT', "units/$unit->id/test-model", ['model' => 1], 200);
        $this->mark([$first, $second], $ground);
        $judge('lead', ['passed' => true], 409);
        $early = $this->api('painter', 'POST', 'bench/marks', ['pieces' => [$second], 'steps' => [$paint[0]]], 409);
        self::assertStringContainsString('the test model is painted first', (string) $early->json('detail'));
        $this->mark([$first], $paint);
        $judge('painter', ['passed' => true], 403);
        $judge('lead', ['passed' => false], 422)->assertJsonPath('errors.0.pointer', '/note');
        $no = ['passed' => false, 'note' => 'Too dark from the table.'];
        $judge('lead', $no, 200);
        $said = $judge('lead', $no, 200)->json('test');
        self::assertSame([false, 'Too dark from the table.', 11], [$said['passed'], $said['note'], count($said['rest'])]);
        self::assertSame(1, GateAnswer::query()->where('gate', 'test_model')->count(), 'pressed twice, said once');
        self::assertSame([1, 2, false], [$said['scheme']['painted'], $said['scheme']['newest'], $said['scheme']['is_changed']]);
        $planned = (float) Piece::query()->findOrFail($first)->logs()
            ->whereNotIn('family', ['prepare', 'undercoat', 'check'])->sum('planned_minutes');
        self::assertEqualsWithDelta($planned, $said['minutes'], 0.5, 'what was spent on it since its undercoat');

        // The rest waits at its undercoat, on the bench and before it.
        $held = $this->api('painter', 'POST', 'bench/marks', ['pieces' => [$second], 'steps' => [$paint[0]]], 409);
        self::assertStringContainsString('Too dark from the table.', (string) $held->json('detail'));
        $this->api('lead', 'POST', "units/$unit->id/colours", ['revision' => $said['unit_revision']], 409);
        $other = $this->unit('26-041', 1);
        $release = ['revision' => $other->revision, 'despite' => 'Agreed.'];
        $this->api('lead', 'POST', "units/$other->id/release", $release, 409)->assertJsonPath('errors.0.pointer', '/scheme');

        $this->recolour('Indigo Cloth');
        $judge('lead', ['passed' => true], 409)->assertJsonPath('errors.0.pointer', '/passed');
        $taken = $this->api('lead', 'POST', "units/$unit->id/colours", ['revision' => $said['unit_revision']], 200)->json('test');
        self::assertSame([2, 2, true, false], [
            $taken['scheme']['painted'],
            $taken['scheme']['newest'],
            $taken['scheme']['is_changed'],
            $taken['is_painted'],
        ]);
        $this->api('lead', 'POST', "units/$unit->id/colours", ['revision' => $taken['unit_revision']], 409);
        $done = BenchWork::done(Piece::query()->with(BenchWork::OF_PIECES)->findOrFail($first));
        self::assertEqualsCanonicalizing($ground, $done, 'what lies under the colours stays');
        self::assertSame('Indigo Cloth', $this->paintOf($unit, 'coat'));
        $this->api('painter', 'POST', 'bench/marks', ['pieces' => [$second], 'steps' => [$paint[0]]], 409);
        $anew = $this->steps($unit, fn (Step $s) => ! in_array($s->phase, $under, true) && $s->phase->value < 170);
        $this->mark([$first], $anew);
        // The same may be wrong with the next colours, too.
        $judge('lead', $no, 200);
        self::assertSame(2, GateAnswer::query()->where('gate', 'test_model')->count());
        $this->recolour('Mist Blue');
        $revision = $this->test($unit)['unit_revision'] ?? 0;
        $this->api('lead', 'POST', "units/$unit->id/colours", ['revision' => $revision], 200);
        $anew = $this->steps($unit, fn (Step $s) => ! in_array($s->phase, $under, true) && $s->phase->value < 170);
        $this->mark([$first], $anew);
        $judge('lead', ['passed' => true], 200);
        $this->mark([$second], [$anew[0]]);
        $outcomes = Scheme::query()->where('slug', 'tidemark')->firstOrFail()->versions()->orderBy('number')->pluck('outcome');
        self::assertSame(['rejected', 'rejected', 'accepted'], $outcomes->all());
        $this->api('lead', 'POST', "units/$other->id/release", $release, 200);
        self::assertNull($this->test($other), 'one alone has none');
        $this->api('lead', 'PUT', "units/$unit->id/test-model", ['model' => null], 200);
        self::assertNull($this->test($unit), 'colours were begun');
    }

    public function test_rejected_and_then_accepted_in_the_same_colours_model_gate_and_scheme_agree(): void
    {
        $unit = $this->unit('26-041');
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision], 200);
        $this->api('lead', 'PUT', "units/$unit->id/test-model", ['model' => 1], 200);
        $piece = $unit->pieces()->where('number', 1)->firstOrFail();
        $this->mark([$piece->id], $this->steps($unit, fn (Step $s) => $s->phase->value < 170));
        foreach ([['passed' => false, 'note' => 'Too dark.'], ['passed' => true]] as $word) {
            $this->api('lead', 'POST', "units/$unit->id/test-model", $word, 200);
        }
        $test = (array) $this->test($unit);
        $scheme = Scheme::query()->where('slug', 'tidemark')->firstOrFail();
        self::assertTrue($test['passed']);
        self::assertSame([2, 2], [$test['scheme']['painted'], $test['scheme']['newest']]);
        self::assertSame(['rejected', 'accepted'], $scheme->versions()->orderBy('number')->pluck('outcome')->all());
        self::assertSame([0, 1], GateAnswer::query()->where('piece_id', $piece->id)->orderBy('id')->pluck('passed')->map(fn ($p) => (int) $p)->all());
        $other = $this->unit('26-041', 1);
        $this->api('lead', 'POST', "units/$other->id/release", ['revision' => $other->revision, 'despite' => 'Agreed.'], 200);
    }

    public function test_what_is_said_of_a_test_model_on_its_scheme_is_said_at_its_gate(): void
    {
        $unit = $this->unit('26-041');
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => $unit->revision], 200);
        $this->api('lead', 'PUT', "units/$unit->id/test-model", ['model' => 2], 200);
        $piece = $unit->pieces()->where('number', 2)->firstOrFail();
        $this->api('lead', 'POST', 'schemes/tidemark/outcome', ['outcome' => 'accepted', 'piece' => $piece->id], 200);
        self::assertSame([2, true, 'Runa Wick'], array_values(array_intersect_key(
            (array) $this->test($unit),
            ['model' => 0, 'passed' => 0, 'by' => 0],
        )));
        self::assertSame(1, GateAnswer::query()->where('piece_id', $piece->id)->count());
    }

    public function test_finished_models_that_look_like_clones_get_something_more_and_are_looked_at_again(): void
    {
        $unit = $this->unit('26-033');
        $piece = $unit->pieces()->where('stage', 'passed')->firstOrFail();
        $before = $unit->pieces()->where('id', '!=', $piece->id)->orderBy('id')->pluck('stage')->all();
        $shown = $this->api('lead', 'GET', "units/$unit->id/late-variants", null, 200)->json();
        $on = array_column($shown['areas'], 'techniques', 'key');
        self::assertContains('tint_filter', array_column($on['coat'], 'key'));
        self::assertNotContains('base_coat', array_column($on['coat'], 'key'), 'nothing that paints it over');
        self::assertNotContains('sponge_chips', array_column($on['coat'], 'key'), 'cloth does not chip');

        $give = fn (array $what, int $status) => $this->api('lead', 'POST', "units/$unit->id/late-variants", $what + [
            'revision' => $shown['revision'],
            'pieces' => [$piece->id],
            'area' => 'coat',
            'technique' => 'tint_filter',
        ], $status);
        $give(['technique' => 'base_coat'], 422)->assertJsonPath('errors.0.pointer', '/technique');
        $give(['area' => 'wings'], 422)->assertJsonPath('errors.0.pointer', '/area');
        $give(['pieces' => [999_999]], 404);
        $give(['revision' => 0], 409);
        $releases = ReleaseRow::query()->where('unit_id', $unit->id)->count();
        $give([], 200);
        self::assertSame($releases + 1, ReleaseRow::query()->where('unit_id', $unit->id)->count());
        self::assertSame('on_bench', $piece->refresh()->stage);
        self::assertSame($before, $unit->pieces()->where('id', '!=', $piece->id)->orderBy('id')->pluck('stage')->all());

        // What is left is what was added, and the varnish and the last look over it.
        $release = app(Releases::class)->of($unit);
        $done = BenchWork::done(Piece::query()->with(BenchWork::OF_PIECES)->findOrFail($piece->id));
        $left = array_diff_key($release->stepsOf($piece->number), array_flip($done));
        $techniques = array_values(array_unique(array_map(fn (Step $s) => $s->technique->key, $left)));
        self::assertContains('tint_filter', $techniques);
        self::assertContains('matt_varnish', $techniques);
        foreach ($left as $step) {
            $isAgain = in_array($step->technique->family->value, ['protect', 'check'], true);
            self::assertTrue($isAgain || [$step->technique->key, $step->area?->key] === ['tint_filter', 'coat'], $step->technique->key);
        }
        $this->mark([$piece->id], array_keys($left));
        $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$piece->id]], 200);
        $check = $this->api('lead', 'POST', "pieces/$piece->id/check", null, 201)->json();
        self::assertNotSame([], $check['looks']);
    }

    public function test_a_re_check_asks_what_the_repair_touched_and_what_was_added_and_all_where_it_was_painted_over(): void
    {
        $unit = $this->unit('26-033');
        $piece = $unit->pieces()->where('stage', 'rework')->firstOrFail();
        $all = Check::query()->where('piece_id', $piece->id)->firstOrFail()->questions;
        $late = ['pieces' => [$piece->id], 'area' => 'hood', 'technique' => 'tint_filter'];
        $this->api('lead', 'POST', "units/$unit->id/late-variants", $late + ['revision' => $unit->revision], 200);
        $asked = $this->recheck($unit, $piece);
        $tint = array_values(array_filter($asked, fn (array $q) => ! in_array($q['key'], array_column($all, 'key'), true)));
        self::assertSame([['hood']], array_column($tint, 'areas'), 'what was added is asked');
        self::assertLessThan(count($all), count($asked));
        $hood = array_filter($asked, fn (array $q) => $q['areas'] === ['hood']);
        self::assertCount(1, $hood, 'the repair was on the coat');

        // Sent back once more, and then painted over in other colours: everything is asked.
        $check = Check::query()->where('piece_id', $piece->id)->whereNull('closed_at')->firstOrFail();
        $cover = collect($asked)->firstOrFail(fn (array $q) => in_array('overspill', $q['faults'], true));
        $this->api('lead', 'PUT', "checks/$check->id/answers", [
            'question' => $cover['key'],
            'answer' => 'fault',
            'faults' => [['fault' => 'overspill', 'area' => 'coat', 'spread' => 'whole']],
        ], 200);
        foreach ($this->api('lead', 'GET', "checks/$check->id", null, 200)->json('looks') as $look) {
            $this->api('lead', 'PUT', "checks/$check->id/looks", ['look' => $look['key'], 'answer' => 'yes'], 200);
        }
        $this->api('lead', 'POST', "checks/$check->id/verdict", ['verdict' => 'rework'], 200);
        $sentBack = fn (): int => app(BenchWork::class)
            ->sentBack(Piece::query()->with(BenchWork::OF_PIECES)->findOrFail($piece->id))
            ->count();
        self::assertSame(1, $sentBack());
        $this->recolour('Indigo Cloth');
        $this->api('lead', 'POST', "units/$unit->id/colours", ['revision' => $unit->refresh()->revision], 200);
        self::assertSame(0, $sentBack(), 'the fault is gone with the paint that it lay on');
        $asked = array_column($this->recheck($unit, $piece), 'key');
        self::assertSame([], array_diff(array_column($all, 'key'), $asked));
    }

    /** @return list<array<string, mixed>> what is asked when it was finished and offered again */
    private function recheck(Unit $unit, Piece $piece): array
    {
        $this->actingAs($this->person('painter'));
        $release = app(Releases::class)->of($unit);
        $piece = Piece::query()->with(BenchWork::OF_PIECES)->findOrFail($piece->id)->setRelation('unit', $unit);
        $wanted = array_keys(app(BenchWork::class)->of($piece, $release)->wanted());
        foreach (array_diff($wanted, BenchWork::done($piece)) as $step) {
            $this->mark([$piece->id], [$step]);
        }
        $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$piece->id]], 200);

        return $this->api('lead', 'POST', "pieces/$piece->id/check", null, 201)->json('questions');
    }

    /**
     * @param  callable(Step): bool  $which
     * @return list<string> keys
     */
    private function steps(Unit $unit, callable $which): array
    {
        return array_keys(array_filter(app(Releases::class)->of($unit)->steps(), $which));
    }

    /**
     * @param  list<int>  $pieces
     * @param  list<string>  $steps
     */
    private function mark(array $pieces, array $steps): void
    {
        $this->api('painter', 'POST', 'bench/marks', ['pieces' => $pieces, 'steps' => $steps], 200);
    }

    /** @return array<string, mixed>|null */
    private function test(Unit $unit): ?array
    {
        return $this->api('painter', 'GET', "units/$unit->id/gates", null, 200)->json('test');
    }

    private function recolour(string $paint): void
    {
        $scheme = $this->api('lead', 'GET', 'schemes/tidemark', null, 200);
        $document = $scheme->json('document');
        $document['areas'] = (object) $document['areas'];
        $document['slots']['main cloth']['base'] = $paint;
        $body = ['number' => $scheme->json('number'), 'document' => $document, 'note' => 'Lighter.'];
        $this->api('lead', 'PUT', 'schemes/tidemark', $body, 200);
    }

    private function paintOf(Unit $unit, string $area): ?string
    {
        $figure = $this->api('lead', 'GET', "units/$unit->id/plan", null, 200)->json('figure');

        return collect($figure)->firstWhere('key', $area)['paint'];
    }
}
