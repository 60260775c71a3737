<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\AmendmentRow;
use App\Models\Paint;
use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\BenchWork;
use Illuminate\Testing\TestResponse;
use Ordotype\Core\Bench\WantedStep;

/** Plans bent by the lead, pieces that differ, and what could become of a unit. */
final class BentPlanTest extends StudioTestCase
{
    private const OMIT = [
        'level' => 'unit',
        'do' => 'omit',
        'clause' => 'company.edges',
        'technique' => null,
        'scope' => [],
        'values' => [],
        'reason' => 'They stand at the back.',
        'price' => null,
        'on' => null,
    ];

    private const ADD = [
        'level' => 'unit',
        'do' => 'add',
        'clause' => null,
        'technique' => 'tint_filter',
        'scope' => ['area' => ['hood']],
        'values' => [],
        'reason' => 'Old hoods.',
        'price' => null,
        'on' => null,
    ];

    public function test_each_step_says_which_one_it_follows_and_may_not_be_moved_before_it(): void
    {
        $unit = $this->unit('26-041');
        $plan = $this->plan($unit->id);
        [$steps, $follows] = [$plan->json('plan.steps'), $plan->json('follows')];
        self::assertCount(count($steps), $follows);
        $tried = 0;
        foreach ($follows as $i => $before) {
            self::assertEqualsCanonicalizing($steps[$i]['order_because'], array_column($before, 'rule'));
            foreach ($before as ['no' => $no, 'rule' => $rule]) {
                self::assertLessThan($steps[$i]['no'], $no);
                // What only happens to stand before it holds nothing.
                if (in_array($rule, ['dry_through', 'same_pot'], true) || $i % 5 !== 0) {
                    continue;
                }
                $move = ['step' => $steps[$i]['key'], 'to' => $no - 1];
                $broken = $this->api('lead', 'POST', "units/$unit->id/move", $move, 200)->json('broken');
                self::assertContains($rule, array_column($broken, 'rule'), "step {$steps[$i]['no']} before $no");
                $tried++;
            }
        }
        self::assertGreaterThan(5, $tried);
    }

    public function test_a_moved_step_says_what_it_breaks_and_a_rule_set_aside_lets_it_go_there(): void
    {
        $unit = $this->unit('26-041');
        $plan = $this->plan($unit->id);
        $keys = array_column($plan->json('plan.steps'), 'key');
        self::assertSame($keys, array_values(array_unique($keys)));
        $wash = $this->first($keys, 'boots:');
        $move = $this->api('lead', 'POST', "units/$unit->id/move", ['step' => $keys[$wash], 'to' => 0], 200);
        self::assertContains('phase', array_column($move->json('broken'), 'rule'));
        self::assertNull($move->json('waiting_then'));
        // A pair that only one rule holds.
        $found = null;
        foreach ($keys as $i => $key) {
            for ($to = 0; $to < $i && $found === null; $to++) {
                $broken = $this->api(
                    'lead',
                    'POST',
                    "units/$unit->id/move",
                    ['step' => $key, 'to' => $to],
                    200,
                )->json();
                if (count($broken['broken']) === 1) {
                    $found = [$key, $to, $broken];
                }
            }
            if ($found !== null || $i > 30) {
                break;
            }
        }
        self::assertNotNull($found);
        [$key, $to, $broken] = $found;
        $rule = $broken['broken'][0];
        // Put there without setting the rule aside, the rule wins.
        $kept = $this->api(
            'lead',
            'PUT',
            "units/$unit->id/sequence",
            ['revision' => 1, 'sequence' => $broken['sequence']],
            200,
        );
        self::assertTrue($kept->json('arranged.sequence'));
        self::assertNotSame($broken['sequence'], array_column($kept->json('plan.steps'), 'key'));
        $place = array_intersect_key($rule, array_flip(['rule', 'earlier', 'later']));
        $this->api(
            'lead',
            'POST',
            "units/$unit->id/overrules",
            ['revision' => 2, 'rules' => [$place]],
            422,
        )->assertJsonPath('errors.0.pointer', '/reason');
        $set = $this->api(
            'lead',
            'POST',
            "units/$unit->id/overrules",
            [
                'revision' => 2,
                'rules' => [$place],
                'reason' => 'Tried on the test model.',
            ],
            200,
        );
        $then = array_column($set->json('plan.steps'), 'key');
        self::assertSame($broken['sequence'], $then);
        self::assertSame('Runa Wick', $set->json('overrules.0.by'));
        self::assertContains('rule_overruled', array_column($set->json('plan.warnings'), 'kind'));
        // It holds for the other units of the order too, and only for this order.
        self::assertCount(1, $this->plan($this->unit('26-041', 1)->id)->json('overrules'));
        self::assertCount(0, $this->plan($this->unit('26-036')->id)->json('overrules'));
        $id = $set->json('overrules.0.id');
        $back = $this->api('lead', 'DELETE', "units/$unit->id/overrules/$id", ['revision' => 3], 200);
        self::assertSame([], $back->json('overrules'));
        $plain = $this->api('lead', 'PUT', "units/$unit->id/sequence", ['revision' => 4, 'sequence' => []], 200);
        self::assertSame($keys, array_column($plain->json('plan.steps'), 'key'));
        $this->api(
            'lead',
            'POST',
            "units/$unit->id/overrules",
            ['revision' => 5, 'rules' => [$place, ['rule' => 'no_such_rule'] + $place], 'reason' => 'x'],
            422,
        )->assertJsonPath('errors.0.pointer', '/rules/1/rule');
        self::assertSame([], $this->plan($unit->id)->json('overrules'), 'all of them or none');
        $this->api(
            'lead',
            'POST',
            "units/$unit->id/move",
            ['step' => 'nowhere:nothing:1', 'to' => 0],
            422,
        )->assertJsonPath('errors.0.pointer', '/step');
    }

    public function test_a_step_takes_a_paint_and_a_note_and_one_technique_is_practised(): void
    {
        $unit = $this->unit('26-041');
        $step = array_values(
            array_filter(
                $this->plan($unit->id)->json('plan.steps'),
                fn (array $s) => $s['area'] === 'hood' && $s['colour'] !== null,
            ),
        )[0];
        $done = $this->api(
            'lead',
            'PUT',
            "units/$unit->id/step",
            ['revision' => 1, 'step' => $step['key'], 'paint' => 'Ember', 'note' => 'Two thin ones.'],
            200,
        );
        $now = array_values(array_filter($done->json('plan.steps'), fn (array $s) => $s['key'] === $step['key']))[0];
        self::assertSame('Ember', $now['colour']['paint']);
        self::assertSame(
            ['Two thin ones.', 'Ember'],
            [$done->json("arranged.notes.{$step['key']}"), $done->json("arranged.paints.{$step['key']}")],
        );
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/step",
            ['revision' => 2, 'step' => $step['key'], 'paint' => 'No such paint'],
            422,
        )->assertJsonPath('errors.0.pointer', '/paint');
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/step",
            ['revision' => 2, 'step' => $step['key'], 'paint' => null, 'note' => ''],
            200,
        )
            ->assertJsonPath('arranged.notes', [])
            ->assertJsonPath('arranged.paints', []);
        $hood = array_map(
            fn (array $t) => ['technique' => $t['technique'], 'passes' => $t['passes'], 'extent' => $t['extent']],
            collect($done->json('plan.areas'))->firstWhere('area', 'hood')['techniques'],
        );
        $edited = $this->api(
            'lead',
            'PUT',
            "units/$unit->id/plan",
            [
                'revision' => 3,
                'edits' => [
                    'hood' => [...$hood, ['technique' => 'tinted_lining', 'passes' => 1, 'extent' => 'full']],
                ],
            ],
            200,
        );
        self::assertSame(
            [true, false],
            [$edited->json('plan.surplus.0.beyond'), $edited->json('plan.surplus.0.practice')],
        );
        $practised = $this->api(
            'lead',
            'PUT',
            "units/$unit->id/practice",
            ['revision' => 4, 'technique' => 'tinted_lining'],
            200,
        );
        self::assertSame(
            [false, true],
            [$practised->json('plan.surplus.0.beyond'), $practised->json('plan.surplus.0.practice')],
        );
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/practice",
            ['revision' => 5, 'technique' => 'juggling'],
            422,
        )->assertJsonPath('errors.0.pointer', '/technique');
        $this->api('lead', 'PUT', "units/$unit->id/practice", ['revision' => 4, 'technique' => null], 409);
    }

    public function test_amendments_at_four_levels_with_who_and_why(): void
    {
        $unit = $this->unit('26-041');
        $this->amend($unit->id, 1, self::OMIT, 200);
        $order = $this->amend($unit->id, 2, ['level' => 'order', 'clause' => 'muster.shade'] + self::OMIT, 200);
        $studio = $this->amend(
            $unit->id,
            3,
            ['level' => 'studio', 'clause' => 'company.raised', 'reason' => 'We do it otherwise.'] + self::OMIT,
            200,
        );
        $piece = $this->amend($unit->id, 4, ['level' => 'piece'] + self::ADD, 200, 7);
        self::assertSame(['unit', 'order', 'studio', 'piece'], array_column($piece->json('amendments'), 'of'));
        self::assertSame([null, null, null, 7], array_column($piece->json('amendments'), 'piece'));
        self::assertSame(['Runa Wick'], array_values(array_unique(array_column($piece->json('amendments'), 'by'))));
        self::assertContains([7], array_column($piece->json('kinds'), 'pieces'));
        // The studio's holds on another order at the same tier, an order's and a piece's do not.
        $other = $this->plan($this->unit('26-036')->id);
        self::assertContains('studio', array_column($other->json('amendments'), 'of'));
        self::assertNotContains('piece', array_column($other->json('amendments'), 'of'));
        $row = AmendmentRow::query()
            ->whereNull('order_id')
            ->whereNull('unit_id')
            ->whereNull('piece_id')
            ->firstOrFail();
        $this->api('lead', 'DELETE', "units/$unit->id/amendments/$row->id", ['revision' => 5], 200);
        self::assertNotContains(
            'studio',
            array_column($this->plan($this->unit('26-036')->id)->json('amendments'), 'of'),
        );
        self::assertNotNull($row->refresh()->ended_at, 'what was released under it is still held against it');
        $this->amend($unit->id, 6, ['level' => 'piece', 'on' => ['pieces' => 2]] + self::ADD, 422, 3)->assertJsonPath(
            'errors.0.pointer',
            '/amendment/on',
        );
        $this->amend($unit->id, 6, ['level' => 'piece'] + self::ADD, 404, 99);
        unset($order, $studio);
    }

    public function test_pieces_that_differ_go_to_the_bench_with_the_steps_they_need(): void
    {
        $unit = $this->unit('26-041');
        $pieces = $unit->pieces()->orderBy('number')->get();
        $this->api(
            'lead',
            'PUT',
            "pieces/{$pieces[0]->id}/lacks",
            ['revision' => 1, 'lacks' => ['hook', 'pole']],
            200,
        )->assertJsonPath('piece', 1);
        $this->api(
            'lead',
            'PUT',
            "pieces/{$pieces[0]->id}/lacks",
            ['revision' => 2, 'lacks' => ['wings']],
            422,
        )->assertJsonPath('errors.0.pointer', '/lacks/0');
        $this->amend($unit->id, 2, ['on' => ['pieces' => 3]] + self::ADD, 200);
        $scheme = [
            'main cloth' => [
                'base' => 'Weathered Red',
                'shades' => ['Silt Wash'],
                'lights' => ['Brick Clay', 'Ember'],
            ],
        ];
        $varied = $this->api(
            'lead',
            'PUT',
            "units/$unit->id/variants",
            [
                'revision' => 3,
                'variants' => [
                    [
                        'name' => 'Red coats',
                        'share' => 0.25,
                        'colours' => ['slots' => $scheme, 'areas' => (object) []],
                        'amendments' => [],
                    ],
                ],
            ],
            200,
        );
        $kinds = $varied->json('kinds');
        self::assertSame(12, array_sum(array_map(fn (array $k) => count($k['pieces']), $kinds)));
        self::assertSame(
            3,
            array_sum(array_map(fn (array $k) => $k['variant'] === 'Red coats' ? count($k['pieces']) : 0, $kinds)),
        );
        self::assertSame(
            3,
            array_sum(array_map(fn (array $k) => $k['amendments'] === [1] ? count($k['pieces']) : 0, $kinds)),
        );
        self::assertSame([0], array_values(array_unique(array_column($kinds, 'short'))));
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/variants",
            ['revision' => 4, 'variants' => [['name' => 'All', 'share' => 0.7], ['name' => 'More', 'share' => 0.7]]],
            422,
        )->assertJsonPath('errors.0.pointer', '/variants');
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/variants",
            [
                'revision' => 4,
                'variants' => [
                    ['name' => 'Odd', 'share' => 0.5, 'colours' => ['slots' => ['main cloth' => ['base' => '#12']]]],
                ],
            ],
            422,
        );
        $one = $this->api('lead', 'GET', "units/$unit->id/plan?piece=1", null, 200);
        self::assertNotContains('hook', array_column($one->json('plan.steps'), 'area'));
        $hood = array_map(
            fn (array $t) => ['technique' => $t['technique'], 'passes' => $t['passes'], 'extent' => $t['extent']],
            collect($one->json('plan.areas'))->firstWhere('area', 'hood')['techniques'],
        );
        $own = $this->api(
            'lead',
            'PUT',
            "units/$unit->id/plan",
            [
                'revision' => 4,
                'piece' => 1,
                'edits' => [
                    'hood' => [...$hood, ['technique' => 'point_highlight', 'passes' => 1, 'extent' => 'spot']],
                ],
            ],
            200,
        );
        self::assertContains('point_highlight', array_column($own->json('plan.steps'), 'technique'));
        self::assertNotContains(
            'point_highlight',
            array_column($this->plan($unit->id)->json('plan.steps'), 'technique'),
        );

        $this->api(
            'lead',
            'POST',
            "units/$unit->id/release",
            ['revision' => 5, 'despite' => 'Wanted on the bench today.'],
            200,
        );
        $batch = $this->api('painter', 'GET', "bench/$unit->id", null, 200);
        $all = array_merge(...array_column($batch->json('passes'), 'steps'));
        self::assertSame($all, array_values(array_unique($all)), 'every step has a key of its own');
        foreach ($batch->json('pieces') as $piece) {
            self::assertSame([], array_diff($piece['wants'], $all));
        }
        $first = $batch->json('pieces.0');
        self::assertSame(
            [],
            array_values(array_filter($first['wants'], fn (string $k) => str_starts_with($k, 'hook:'))),
        );
        // All done in one tap: each piece gets what it needs, and can then be offered.
        $ids = array_column($batch->json('pieces'), 'id');
        $this->api('painter', 'POST', 'bench/marks', ['pieces' => $ids, 'steps' => $all], 200);
        foreach (Piece::query()->with(['unit', ...BenchWork::OF_PIECES])->whereIn('id', $ids)->get() as $piece) {
            self::assertEqualsCanonicalizing(
                array_keys(app(BenchWork::class)->of($piece, app(Releases::class)->of($piece->unit))->wanted()),
                $piece->logs()->pluck('step')->all(),
            );
            $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$piece->id]], 200);
        }
        $check = $this->api('lead', 'POST', "pieces/{$ids[0]}/check", null, 201);
        self::assertStringNotContainsStringIgnoringCase(
            '"hook"',
            (string) json_encode($check->json('questions')),
            'what a piece does not have is not asked',
        );
    }

    public function test_what_could_become_of_a_unit_is_told_before_it_is_done(): void
    {
        $unit = $this->unit('26-041');
        $stops = $this->api('lead', 'GET', "units/$unit->id/stops", null, 200);
        self::assertSame(['muster', 'company'], array_column($stops->json('stops'), 'tier'));
        self::assertLessThan($stops->json('stops.1.minutes'), $stops->json('stops.0.minutes'));
        self::assertCount($stops->json('steps'), $stops->json('order'));
        $colours = $this->api('lead', 'GET', "units/$unit->id/spraying", null, 200);
        self::assertSame(12, $colours->json('pieces'));
        foreach ($colours->json('colours') as $colour) {
            self::assertEqualsWithDelta(
                $colour['spray']['setup'] + $colour['spray']['hand'] + $colour['spray']['masking'],
                $colour['spray']['total'],
                0.02,
            );
        }
        self::assertContains(true, array_column($colours->json('colours'), 'sprayed'));
        $paints = $this->api('painter', 'GET', "units/$unit->id/paints", null, 200);
        self::assertSame(12, $paints->json('pieces'));
        $known = Paint::query()->pluck('ml', 'name');
        foreach ($paints->json('paints') as $paint) {
            self::assertEqualsWithDelta((float) $known[$paint['paint']], $paint['left_ml'], 1e-9, $paint['paint']);
            self::assertSame($paint['left_ml'] < $paint['ml'], $paint['short']);
        }
        self::assertSame(
            [],
            $this->api('lead', 'GET', "units/$unit->id/compare?with=planner", null, 200)->json('differences'),
        );
        $banner = $this->api('lead', 'GET', "units/$unit->id/compare?with=tier:banner", null, 200);
        self::assertGreaterThan($banner->json('minutes'), $banner->json('minutes_other'));
        self::assertNotSame([], $banner->json('differences'));
        foreach (['quickest', 'best', 'piece:3', 'unit:'.$this->unit('26-036')->id] as $with) {
            $this->api('lead', 'GET', "units/$unit->id/compare?with=$with", null, 200);
        }
        $this->api('lead', 'GET', "units/$unit->id/compare?with=tier:nowhere", null, 422)->assertJsonPath(
            'errors.0.pointer',
            '/with',
        );
        $this->api('lead', 'GET', "units/$unit->id/compare?with=moon", null, 422);
        $this->api('lead', 'GET', "units/$unit->id/compare?with=unit:".$this->unit('26-041', 1)->id, null, 422);
    }

    public function test_changes_by_hand_are_copied_to_another_unit_of_the_figure_where_they_apply(): void
    {
        $unit = $this->unit('26-041');
        $other =
            $this->unit('26-036', 1)->sculpt_id === $unit->sculpt_id
                ? $this->unit('26-036', 1)
                : $this->unit('26-036');
        $plan = $this->plan($unit->id);
        $has = fn (string $area) => array_map(
            fn (array $t) => ['technique' => $t['technique'], 'passes' => $t['passes'], 'extent' => $t['extent']],
            collect($plan->json('plan.areas'))->firstWhere('area', $area)['techniques'],
        );
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/plan",
            [
                'revision' => 1,
                'edits' => [
                    'coat' => [
                        ...$has('coat'),
                        ['technique' => 'point_highlight', 'passes' => 1, 'extent' => 'spot'],
                    ],
                    'hood' => [...$has('hood'), ['technique' => 'lettering', 'passes' => 1, 'extent' => 'full']],
                ],
            ],
            200,
        );
        $copied = $this->api('lead', 'POST', "units/$unit->id/copy", ['to' => $other->id, 'revision' => 1], 200);
        self::assertSame(['Hood'], $copied->json('edits_gone'));
        self::assertSame(['coat'], array_keys($this->plan($other->id)->json('unit.edits')));
        $this->api(
            'lead',
            'POST',
            "units/$unit->id/copy",
            ['to' => $this->unit('26-041', 1)->id, 'revision' => 1],
            422,
        )->assertJsonPath('errors.0.pointer', '/to');
    }

    public function test_a_unit_on_the_bench_is_raised_and_what_is_there_counts(): void
    {
        $unit = $this->unit('26-033');
        $take = $unit->pieces()->orderBy('number')->firstOrFail();
        $before = $take->logs()->count();
        $finished = $this->api('lead', 'GET', "units/$unit->id/raise?tier=cabinet&from=finished", null, 200);
        self::assertGreaterThan(0, $finished->json('minutes'));
        self::assertLessThan($finished->json('anew'), $finished->json('minutes'));
        self::assertTrue($finished->json('varnished'));
        $this->api('lead', 'GET', "units/$unit->id/raise?tier=company", null, 422)->assertJsonPath(
            'errors.0.pointer',
            '/tier',
        );
        $this->api(
            'lead',
            'POST',
            "units/$unit->id/raise",
            ['revision' => 1, 'tier' => 'cabinet', 'from' => 'finished'],
            409,
        );
        $raised = $this->api(
            'lead',
            'POST',
            "units/$unit->id/raise",
            ['revision' => $unit->revision, 'tier' => 'cabinet', 'from' => 'finished'],
            200,
        );
        self::assertSame('cabinet', $raised->json('unit.tier.key'));
        self::assertSame(
            [],
            array_filter($raised->json('plan.requirements'), fn (array $r) => $r['state'] === 'short'),
        );
        $piece = Piece::query()->with('unit')->findOrFail($take->id);
        self::assertSame('on_bench', $piece->stage);
        self::assertSame($before, $piece->logs()->count(), 'no log is lost');
        $left = array_diff_key(
            app(BenchWork::class)->of($piece, app(Releases::class)->of($piece->unit))->wanted(),
            array_flip($piece->logs()->whereNull('covered_by')->pluck('step')->all()),
        );
        $minutes = array_sum(array_column($left, 'minutes'));
        // By area rather than by passes, so somewhat more than what was told; what strays is told with the passes.
        self::assertGreaterThanOrEqual($finished->json('minutes') * 0.9, $minutes);
        self::assertLessThan($finished->json('minutes') * 1.5, $minutes);
        self::assertContains('final_look', array_map(fn (WantedStep $s) => $s->technique->key, $left));
        $this->api('painter', 'POST', 'bench/marks', ['pieces' => [$piece->id], 'steps' => array_keys($left)], 200);
        $this->api('painter', 'POST', 'bench/offers', ['pieces' => [$piece->id]], 200);
        $signed = $this->unit('26-029');
        $this->api(
            'lead',
            'POST',
            "units/$signed->id/raise",
            ['revision' => $signed->revision, 'tier' => 'centrepiece', 'from' => 'finished'],
            409,
        );
        $fresh = $this->unit('26-041');
        $this->api(
            'lead',
            'POST',
            "units/$fresh->id/raise",
            ['revision' => $fresh->revision, 'tier' => 'banner', 'from' => 'stands'],
            409,
        );
    }

    public function test_half_finished_models_are_raised_from_what_every_one_of_them_has(): void
    {
        $unit = $this->unit('26-038');
        $stands = $this->api('lead', 'GET', "units/$unit->id/raise?tier=company&from=stands", null, 200);
        $finished = $this->api('lead', 'GET', "units/$unit->id/raise?tier=company&from=finished", null, 200);
        self::assertGreaterThan($finished->json('minutes'), $stands->json('minutes'));
        $raised = $this->api(
            'lead',
            'POST',
            "units/$unit->id/raise",
            ['revision' => $unit->revision, 'tier' => 'company', 'from' => 'stands'],
            200,
        );
        self::assertSame('company', $raised->json('unit.tier.key'));
        foreach (Unit::query()->findOrFail($unit->id)->pieces()->with(['unit', ...BenchWork::OF_PIECES])->get() as $piece) {
            self::assertNotSame([], app(BenchWork::class)->of($piece, app(Releases::class)->of($piece->unit))->wanted());
        }
    }

    private function plan(int $unit): TestResponse
    {
        return $this->api('lead', 'GET', "units/$unit/plan", null, 200);
    }

    /** @param  list<string>  $keys */
    private function first(array $keys, string $start): int
    {
        foreach ($keys as $i => $key) {
            if (str_starts_with($key, $start)) {
                return $i;
            }
        }
        self::fail("no step of $start");
    }

    /** @param  array<string, mixed>  $amendment */
    private function amend(int $unit, int $revision, array $amendment, int $status, ?int $piece = null): TestResponse
    {
        foreach (['scope', 'values'] as $key) {
            $amendment[$key] = (object) $amendment[$key];
        }

        return $this->api(
            'lead',
            'POST',
            "units/$unit/amendments",
            ['revision' => $revision, 'amendment' => $amendment] + ($piece === null ? [] : ['piece' => $piece]),
            $status,
        );
    }
}
