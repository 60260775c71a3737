<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Inspection\CheckList;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Outlook\Cutting;
use Ordotype\Core\Planning\Outlook\Raising;
use Ordotype\Core\Planning\Outlook\StoppingPoint;
use Ordotype\Core\Planning\Outlook\StoppingPoints;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\Warning;
use Ordotype\Core\Planning\Plan\WarningKind;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\CheckWords;
use Ordotype\Core\Words\ClauseWords;
use Ordotype\Core\Words\WarningWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;
use Tests\Support\RandomCase;

/** What schools and single rules of the order do, one at a time, from the text of the rules. */
final class PaintersOrderTest extends TestCase
{
    public function test_a_decal_goes_into_the_wash_in_the_very_next_pass(): void
    {
        $standard = Demo::standard();
        foreach (['banner', 'cabinet', 'centrepiece'] as $tier) {
            foreach ([1, 5] as $pieces) {
                $plan = Demo::planner()->plan(
                    new PlanRequest(
                        $standard,
                        $standard->tier($tier),
                        Demo::sculpt('reedback-toad'),
                        Demo::scheme(),
                        self::method(['build' => 'from_mid', 'decals' => 'wet_wash']),
                        [],
                        Demo::shelf(),
                        $pieces,
                    ),
                );
                foreach (self::places($plan) as $key => $place) {
                    [$area, $technique] = explode(':', $key);
                    if ($technique !== 'decal') {
                        continue;
                    }
                    $before = $plan->work->passes[self::passOf($plan, $place) - 1];
                    $into = array_map(fn (int $i) => $plan->work->steps[$i], $before->steps);
                    $areas = array_map(fn (Step $s) => $s->area?->key, $into);
                    self::assertContains($area, $areas, "$tier: the pass before the decal is on its area");
                    self::assertTrue($into[0]->technique->tidied, "$tier: and it is a wash");
                }
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> method, steps in the order they come in */
    public static function schools(): iterable
    {
        $coat = 'coat:wash_all_over:1';
        yield 'inner areas are finished before what lies on them' => [[], [$coat, 'coat:drybrush:1', 'strap:base_coat:1']];
        yield 'all bases first' => [['neighbours' => 'all_bases'], ['strap:base_coat:1', 'coat:drybrush:1']];
        yield 'faces last' => [[], ['strap:base_coat:1', 'face:base_coat:1']];
        yield 'faces first' => [['faces' => 'first'], ['face:base_coat:1', 'coat:base_coat:1']];
        yield 'faces by layer' => [['faces' => 'inner'], ['face:base_coat:1', 'strap:base_coat:1']];
        yield 'sand on the bare model' => [
            ['texture' => 'before_undercoat'],
            ['ground:ground_sand:1', '*:prime_brush:1', 'ground:ground_paint:1'],
        ];
        yield 'chips under the wash, rust last' => [
            [
                'weathering' => [
                    ['technique' => 'rust_grime', 'value' => 'last'],
                    ['technique' => 'sponge_chips', 'value' => 'under_wash'],
                ],
            ],
            ['plate:base_coat:1', 'plate:sponge_chips:1', 'plate:wash_all_over:1', 'plate:rust_grime:1'],
        ];
        yield 'a wash under the skin and one over it' => [
            ['skin_wash' => ['first', 'over']],
            ['face:wash_all_over:1', 'face:base_coat:1', 'face:wash_all_over:2'],
        ];
        yield 'one thin wash over the whole light undercoat' => [
            ['value_wash' => true],
            ['*:prime_brush:1', '*:value_wash:1', 'coat:base_coat:1'],
        ];
    }

    /**
     * @param  array<string, mixed>  $method
     * @param  list<string>  $order
     */
    #[DataProvider('schools')]
    public function test_a_school_puts_steps_in_its_order(array $method, array $order): void
    {
        $required = fn (string $technique, array $areas, int $passes = 1): array => [
            'kind' => 'technique',
            'technique' => $technique,
            'status' => 'required',
            'passes' => $passes,
            'scope' => ['area' => $areas],
        ];
        $standard = Demo::tierOf([
            ['kind' => 'technique', 'technique' => 'prime_brush', 'status' => 'required'],
            $required('base_coat', ['coat', 'strap', 'face', 'plate']),
            $required('wash_all_over', ['coat', 'plate']),
            $required('wash_all_over', ['face'], 2),
            $required('drybrush', ['coat']),
            $required('sponge_chips', ['plate']),
            $required('rust_grime', ['plate']),
            $required('ground_sand', ['ground']),
            $required('ground_paint', ['ground']),
        ]);
        $sculpt = Demo::sculptOf([
            'coat' => ['layer' => 1, 'touches' => ['strap', 'face']],
            'strap' => ['layer' => 3, 'touches' => ['face']],
            'face' => ['material' => 'skin', 'relief' => ['organic'], 'layer' => 2, 'focus' => 3],
            'plate' => ['material' => 'plate', 'relief' => ['hard_edges'], 'layer' => 1],
            'ground' => ['material' => 'ground', 'relief' => ['ground'], 'rank' => 'ground', 'layer' => 0],
        ]);
        $plan = self::plan($standard, $sculpt, $method, ['coat' => '#405060', 'strap' => '#604020', 'face' => '#c08a6a']);
        $places = self::places($plan);
        foreach ($order as $k => $key) {
            self::assertArrayHasKey($key, $places);
            if ($k > 0) {
                self::assertGreaterThan($places[$order[$k - 1]], $places[$key], "{$order[$k - 1]} before $key");
            }
        }
    }

    public function test_drying_counts_the_coats_that_the_method_adds_and_takes_away(): void
    {
        $standard = Demo::tierOf([
            self::needed('base_coat', ['coat']),
            self::needed('metallic_base', ['hook']),
        ]);
        $sculpt = Demo::sculptOf(['coat' => [], 'hook' => ['material' => 'steel', 'relief' => ['hard_edges']]]);
        $drying = function (array $method) use ($standard, $sculpt): array {
            $plan = self::plan($standard, $sculpt, $method, ['coat' => '#e0d0a0', 'hook' => '#808890']);
            $byArea = [];
            foreach ($plan->work->steps as $step) {
                $byArea[$step->area->key ?? '*'] = $step->drying();
            }

            return [$byArea['coat'], $byArea['hook']];
        };
        // Base coat: two coats of 8 minutes, 8 between; metallic base: two, 15 minutes and 8 between.
        self::assertEquals([16.0, 23.0], $drying([]));
        // On dark a light colour of middling hiding takes a third coat, metal only one.
        self::assertEquals([24.0, 15.0], $drying(['undercoat' => 'dark']));
    }

    public function test_what_is_only_prepared_is_planned_as_if_nothing_were_painted(): void
    {
        $standard = Demo::standard();
        foreach (['sluice-warden', 'ferry-gun'] as $figure) {
            $request = new PlanRequest($standard, $standard->tier('company'), Demo::sculpt($figure), Demo::scheme());
            $plan = Demo::planner()->plan($request);
            $used = $plan->whole->choice->techniques ?? [];
            $prepared = array_values(
                array_filter($used, fn (ChosenTechnique $u) => $u->technique->family->value === 'prepare'),
            );
            self::assertNotSame([], $prepared);
            $raised = new Raising($request, ['' => $prepared]);
            $keys = fn (array $list): array => array_map(fn (ChosenTechnique $u) => $u->technique->key, $list);
            foreach ($raised->areas() as $i => $area) {
                self::assertSame($keys($plan->areas[$i]->choice->techniques ?? []), $keys($area->added), $figure);
            }
            $rest = array_values(array_diff($keys($used), $keys($prepared)));
            self::assertSame($rest, $keys($raised->whole()), 'the undercoat is still to come');
        }
    }

    public function test_a_stop_rests_on_the_undercoat_that_the_plan_has(): void
    {
        $sketch = ['kind' => 'technique', 'technique' => 'value_sketch', 'status' => 'required'];
        $none = ['kind' => 'technique', 'technique' => 'value_sketch', 'status' => 'not_offered'];
        $steps = fn (int $min): array => ['kind' => 'steps', 'min' => $min, 'max' => null];
        $standard = Demo::ladderOf([
            'low' => [$none, $steps(2)],
            'high' => [$sketch, $steps(3), self::needed('thin_base', ['coat'])],
        ]);
        $plan = self::plan($standard, Demo::sculptOf(['coat' => []]), [], ['coat' => '#405060'], 'high');
        self::assertContains('coat:thin_base:1', array_keys(self::places($plan)));
        $stops = (new StoppingPoints($plan))->all();
        self::assertSame(['low', 'high'], array_map(fn (StoppingPoint $s) => $s->tier->key, $stops));
        self::assertNotNull($stops[0]->steps, 'a thin base over the sketch is enough');
    }

    public function test_a_tier_that_cannot_be_met_is_not_named_as_the_one_that_fits(): void
    {
        $impossible = [['kind' => 'steps', 'min' => 0, 'max' => 0]];
        $standard = Demo::ladderOf([
            'low' => [],
            'middle' => $impossible,
            'high' => [self::needed('layer', ['coat']), self::needed('glaze', ['coat'])],
        ]);
        $plan = self::plan($standard, Demo::sculptOf(['coat' => []]), [], ['coat' => '#405060'], 'high');
        $middle = self::plan($standard, Demo::sculptOf(['coat' => []]), [], ['coat' => '#405060'], 'middle');
        self::assertNotSame([], $middle->conflicts());
        self::assertSame('low', Cutting::to($plan, $plan->minutesByPasses() / 2)->tier?->key);
    }

    public function test_a_gem_is_sprayed_only_with_its_ring_and_a_detail_not_for_its_paint(): void
    {
        $sprayed = ['kind' => 'sprayed_colours', 'min' => 1, 'max' => 1];
        $areas = [
            'coat' => ['share_pct' => 60, 'touches' => ['ring', 'gem']],
            'ring' => ['rank' => 'secondary', 'share_pct' => 20, 'touches' => ['gem']],
            'gem' => ['rank' => 'secondary', 'share_pct' => 10, 'surround' => 'ring'],
            'button' => ['rank' => 'detail', 'share_pct' => 10],
        ];
        $of = function (array $colours) use ($sprayed, $areas): array {
            $plan = self::plan(Demo::tierOf([$sprayed]), Demo::sculptOf($areas), [], $colours);

            return array_merge(
                ...array_map(fn ($c) => array_map(fn ($a) => $a->key, $c->areas), $plan->sprayed),
            );
        };
        $green = '#405060';
        self::assertSame(['coat'], $of(['coat' => $green, 'ring' => '#903020', 'gem' => $green, 'button' => $green]));
        self::assertSame(
            ['coat', 'ring', 'gem'],
            $of(['coat' => $green, 'ring' => $green, 'gem' => $green, 'button' => $green]),
        );
        // By itself a gem whose ring is brushed is brushed too.
        $only = Demo::tierOf([
            ['kind' => 'technique', 'technique' => 'spray_base', 'status' => 'required', 'scope' => ['area' => ['coat']]],
        ]);
        $plan = self::plan($only, Demo::sculptOf($areas), [], ['coat' => $green]);
        $isSprayed = fn (string $area): bool => array_key_exists("$area:spray_base:1", self::places($plan));
        self::assertTrue($isSprayed('coat'));
        self::assertTrue($isSprayed('ring') || ! $isSprayed('gem'));
    }

    public function test_spraying_that_costs_more_than_the_brush_names_its_clause_and_the_minutes_of_the_unit(): void
    {
        $clause = ['kind' => 'sprayed_colours', 'min' => 1, 'max' => 1, 'label' => 'One sprayed colour'];
        $sculpt = Demo::sculptOf(['coat' => []], ['surface_cm2' => 2]);
        $said = function (int $pieces) use ($clause, $sculpt): array {
            $standard = Demo::tierOf([$clause]);
            $plan = Demo::planner()->plan(
                new PlanRequest($standard, $standard->tier('tier'), $sculpt, pieces: $pieces),
            );
            $is = fn (Warning $w): bool => $w->kind === WarningKind::SprayedThoughDearer;

            return array_map(
                fn (Warning $w) => (new WarningWords($plan->request))->of($w),
                array_values(array_filter($plan->warnings, $is)),
            );
        };
        self::assertCount(1, $said(1));
        self::assertStringContainsString('One sprayed colour', $said(1)[0]);
        self::assertStringContainsString('10 min', $said(1)[0], 'ten minutes of set-up for one small model');
        self::assertSame([], $said(200), 'shared by two hundred it is worth it');
    }

    public function test_the_rim_comes_after_joining_and_the_tidied_joint(): void
    {
        $sculpt = Demo::sculptOf(
            [
                'coat' => ['touches' => ['shield']],
                'shield' => ['part' => 'shield', 'material' => 'plate', 'relief' => ['open_panel']],
                'rim' => ['material' => 'rim', 'relief' => ['rim'], 'rank' => 'ground'],
            ],
            ['parts' => ['shield']],
        );
        $plan = self::plan(Demo::tierOf([self::needed('rim_paint', ['rim'])]), $sculpt, [], ['shield' => '#405060']);
        $order = array_map(fn (Step $s) => $s->key()->id, $plan->work->steps);
        $place = array_flip($order);
        $joint = array_values(array_filter($order, fn (string $k) => str_ends_with($k, ':joint')));
        self::assertCount(1, $joint);
        self::assertGreaterThan($place['*:join_parts:1'], $place[$joint[0]]);
        self::assertGreaterThan($place[$joint[0]], $place['rim:rim_paint:1']);
    }

    public function test_an_area_left_unpainted_gets_no_base_and_no_ground_and_its_cover_is_not_asked_for(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'steps', 'min' => 1, 'max' => null],
            ['kind' => 'finish', 'criterion' => 'bare_primer', 'limit' => 1],
            ['kind' => 'finish', 'criterion' => 'tonal_span', 'limit' => 10],
            ['kind' => 'technique', 'technique' => 'stain_coat', 'status' => 'allowed'],
        ]);
        $sculpt = Demo::sculptOf(['coat' => [], 'strap' => [], 'hook' => ['material' => 'steel']]);
        $method = self::method(['undercoat' => 'dark', 'metal_ground' => 'black']);
        $request = new PlanRequest($standard, $standard->tier('tier'), $sculpt, null, $method);
        $plan = Demo::planner()->plan(RandomCase::unpainted($request, 'strap', 'hook'));
        self::assertSame([], $plan->conflicts());
        self::assertSame(['strap', 'hook'], array_map(fn ($a) => $a->key, $plan->unpainted()));
        foreach ($plan->work->steps as $step) {
            $covers = $step->technique->givesAny(Effect::BaseColour, Effect::Underlay);
            self::assertFalse($covers && $step->area?->key !== 'coat', $step->key()->id);
        }
        $asked = fn (string $area): array => array_map(
            fn (Requirement $r) => $r->subject(),
            $plan->area($area)->demand->requirements,
        );
        self::assertContains('bare_primer', $asked('coat'));
        self::assertNotContains('bare_primer', $asked('strap'));
        self::assertContains('tonal_span', $asked('strap'), 'what is no matter of cover is still asked');
        $offers = [];
        foreach ((new CheckList($plan, InspectionTest::faults()))->checkpoints() as $checkpoint) {
            if (! $checkpoint->isFinalLook() && in_array('patchy_cover', $checkpoint->faults, true)) {
                array_push($offers, ...$checkpoint->areas);
            }
        }
        self::assertSame(['coat'], array_values(array_unique($offers)), 'what has no paint cannot be patchy');
    }

    public function test_where_on_an_area_is_said_by_the_clause_and_asked_in_the_check_and_takes_no_other_minutes(): void
    {
        $glaze = self::needed('glaze', ['coat']);
        $tier = fn (array $clause): Standard => Demo::tierOf([$clause]);
        $inner = $tier($glaze + ['place' => 'inner_three_quarters']);
        $sculpt = Demo::sculptOf(['coat' => []]);
        $plan = self::plan($inner, $sculpt, [], ['coat' => '#405060']);
        self::assertSame(
            self::plan($tier($glaze), $sculpt, [], ['coat' => '#405060'])->minutesByArea(),
            $plan->minutesByArea(),
        );
        $clause = $inner->tier('tier')->clauses[0];
        self::assertStringContainsString('on the inner three quarters', (new ClauseWords($inner))->sentence($clause));
        $words = new CheckWords($inner);
        $asked = array_map(
            $words->checkpoint(...),
            (new CheckList($plan, InspectionTest::faults()))->checkpoints(),
        );
        self::assertStringContainsString('on the inner three quarters', implode(' ', $asked));
    }

    /**
     * @param  list<string>  $areas
     * @return array<string, mixed>
     */
    private static function needed(string $technique, array $areas): array
    {
        return ['kind' => 'technique', 'technique' => $technique, 'status' => 'required', 'scope' => ['area' => $areas]];
    }

    /**
     * @param  array<string, mixed>  $method
     * @param  array<string, string>  $bases  by area
     */
    private static function plan(
        Standard $standard,
        Sculpt $sculpt,
        array $method,
        array $bases,
        string $tier = 'tier',
    ): Plan {
        $colours = array_map(
            fn (string $base) => ['base' => $base, 'shades' => ['#101010'], 'lights' => ['#f0f0f0']],
            $bases,
        );
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'slots' => (object) [],
                'areas' => (object) $colours,
            ]),
        );

        return Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier($tier), $sculpt, $scheme, self::method($method)),
        );
    }

    /** @param  array<string, mixed>  $method */
    private static function method(array $method): Method
    {
        return MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method));
    }

    /** @return array<string, int> by area, technique and pass */
    private static function places(Plan $plan): array
    {
        $places = [];
        foreach ($plan->work->steps as $i => $step) {
            $places[($step->area->key ?? '*').":{$step->technique->key}:$step->pass"] = $i;
        }

        return $places;
    }

    private static function passOf(Plan $plan, int $place): int
    {
        foreach ($plan->work->passes as $no => $pass) {
            if (in_array($place, $pass->steps, true)) {
                return $no;
            }
        }
        self::fail('every step is in a pass');
    }
}
