<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\Arrangement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\WarningKind;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\Overrule;
use Ordotype\Core\Planning\Sequencing\Pass;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Planning\Sequencing\StepPlace;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\Terms;
use Ordotype\Core\Words\WarningWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;
use Tests\Support\DemoPlans;
use Tests\Support\OrderChecker;

final class OrderOfWorkTest extends TestCase
{
    private static ?Standard $standard = null;

    public function test_no_rule_is_broken_on_random_plans(): void
    {
        foreach (range(1, 1000) as $seed) {
            $plan = self::randomPlan($seed);
            $broken = OrderChecker::broken($plan);
            self::assertSame([[], []], [$plan->work->cycles, $broken], "seed $seed");
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function methods(): iterable
    {
        yield 'none' => [[]];
        yield 'dark, metals last' => [['undercoat' => 'dark', 'metals' => 'last']];
        yield 'a value wash, ground first' => [['value_wash' => true, 'ground' => 'first']];
        yield 'stains, ground apart' => [['build' => 'stain_down', 'ground' => 'apart']];
        yield 'metals first, all bases' => [['metals' => 'first', 'neighbours' => 'all_bases']];
        yield 'decals wet, wear under the wash' => [['decals' => 'wet_wash', 'weathering' => 'under_wash']];
        yield 'faces first, ground last, by brush' => [['faces' => 'first', 'ground' => 'last', 'spraying' => 'brush_only']];
    }

    /** @param  array<string, mixed>  $method */
    #[DataProvider('methods')]
    public function test_no_rule_is_broken_on_the_demo(array $method): void
    {
        $standard = self::$standard ??= Demo::standard();
        foreach (DemoPlans::SCULPTS as $sculpt) {
            foreach ($standard->tiers as $tier) {
                $plan = Demo::planner()->plan(new PlanRequest(
                    $standard,
                    $tier,
                    Demo::sculpt($sculpt),
                    Demo::scheme(),
                    MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
                    shelf: Demo::shelf(),
                    pieces: 12,
                ));
                self::assertSame([[], []], [$plan->work->cycles, OrderChecker::broken($plan)], "$sculpt, $tier->key");
            }
        }
    }

    /** The checker would see it: a step that is moved before one that a rule puts ahead of it. */
    public function test_a_step_that_is_moved_is_found(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $found = ['its own area' => [], 'a neighbour' => [], 'the whole model' => []];
        foreach (range(1, 120) as $seed) {
            $plan = self::randomPlan($seed);
            $steps = $plan->work->steps;
            $rules = WorkOrder::of($plan->request)->rules($steps);
            $pairs = [];
            foreach ($steps as $i => $earlier) {
                foreach ($rules->after($i) as $j => $held) {
                    $of = match (true) {
                        $earlier->area === null, $steps[$j]->area === null => 'the whole model',
                        $earlier->area === $steps[$j]->area => 'its own area',
                        default => 'a neighbour',
                    };
                    if (array_diff_key($held, [Rule::SamePot->value => 1, Rule::TouchUpFirst->value => 1]) !== []) {
                        $pairs[$of][] = [$i, $j];
                    }
                }
            }
            foreach ($pairs as $of => $these) {
                [$i, $j] = $these[$random->getInt(0, count($these) - 1)];
                $order = array_values(array_diff(array_keys($steps), [$j]));
                array_splice($order, (int) array_search($i, $order, true), 0, [$j]);
                $found[$of][] = OrderChecker::broken(self::inOrder($plan, $order)) !== [];
            }
        }
        foreach ($found as $of => $moved) {
            self::assertGreaterThan(60, count($moved), $of);
            self::assertGreaterThan(0.9 * count($moved), count(array_filter($moved)), "across $of");
        }
    }

    /**
     * A plan whose steps stand in another order, each pass cut where it no longer hangs together.
     *
     * @param  list<int>  $order
     */
    private static function inOrder(Plan $plan, array $order): Plan
    {
        $passes = [];
        $of = [];
        foreach ($plan->work->passes as $no => $pass) {
            $of += array_fill_keys($pass->steps, $no);
        }
        $last = -1;
        foreach ($order as $at => $i) {
            if ($of[$i] === $last) {
                $passes[count($passes) - 1][] = $at;
            } else {
                $passes[] = [$at];
            }
            $last = $of[$i];
        }
        $work = new OrderedWork(
            array_map(fn (int $i) => $plan->work->steps[$i], $order),
            array_map(fn (int $i) => $plan->work->held[$i], $order),
            array_map(fn (array $steps) => new Pass($steps, 1.0, 0.0, []), $passes),
            [],
            0.0,
            0.0,
        );

        return new Plan($plan->request, $plan->areas, $plan->whole, $plan->sprayed, $work, [], [], []);
    }

    public function test_every_step_is_in_one_pass_and_passes_share_a_pot(): void
    {
        foreach (range(1, 30) as $seed) {
            $plan = self::randomPlan($seed);
            $seen = [];
            foreach ($plan->work->passes as $pass) {
                self::assertCount(
                    1,
                    array_unique(array_map(fn (int $i) => $plan->work->steps[$i]->pot(), $pass->steps)),
                    "seed $seed",
                );
                self::assertCount(
                    count($pass->steps),
                    array_unique(array_map(fn (int $i) => $plan->work->steps[$i]->area?->key, $pass->steps)),
                    "seed $seed",
                );
                array_push($seen, ...$pass->steps);
            }
            self::assertSame(array_keys($plan->work->steps), $seen, "seed $seed");
            self::assertLessThanOrEqual($plan->minutesByArea() + 1e-9, $plan->minutesByPasses());
        }
    }

    public function test_areas_that_frame_one_another_are_named_as_a_circle_with_its_rule(): void
    {
        $plan = self::plan(
            Demo::tierOf([]),
            Demo::sculptOf([
                'lens' => [
                    'material' => 'gem_lens',
                    'relief' => ['tiny_detail'],
                    'touches' => ['ring'],
                    'surround' => 'ring',
                ],
                'ring' => [
                    'material' => 'plate',
                    'relief' => ['tiny_detail'],
                    'touches' => ['lens'],
                    'surround' => 'lens',
                ],
            ]),
        );
        self::assertCount(1, $plan->work->cycles);
        self::assertSame([Rule::RingThenGem], $plan->work->cycles[0]->rules());
        self::assertEqualsCanonicalizing(
            ['lens', 'ring'],
            array_map(fn ($a) => $a->key, $plan->work->cycles[0]->areas()),
        );
        $warnings = array_values(array_filter($plan->warnings, fn ($w) => $w->kind === WarningKind::OrderCircle));
        self::assertSame([Rule::RingThenGem], $warnings[0]->rules());
        self::assertStringContainsString('lens', (new WarningWords($plan->request))->of($warnings[0]));
        self::assertCount(2, $plan->work->steps);
    }

    /**
     * @return iterable<string, array{array<string, array<string, mixed>>, array<string, string>, array<string,
     * string>, list<Rule>}> areas, the base each gets, method, rules
     */
    public static function circles(): iterable
    {
        yield 'three that each sit in the next' => [
            [
                'one' => ['material' => 'plate', 'surround' => 'two'],
                'two' => ['material' => 'plate', 'surround' => 'three'],
                'three' => ['material' => 'plate', 'surround' => 'one'],
            ],
            [],
            [],
            [Rule::RingThenGem],
        ];
        yield 'drybrushed metal in a ring that lies over its neighbour' => [
            [
                'boss' => [
                    'material' => 'steel',
                    'relief' => ['hard_edges'],
                    'layer' => 4,
                    'surround' => 'ring',
                    'touches' => ['cloth'],
                ],
                'cloth' => ['layer' => 1, 'touches' => ['ring']],
                'ring' => ['layer' => 3],
            ],
            ['boss' => 'metal_drybrush_base'],
            ['undercoat' => 'dark'],
            [Rule::InnerFinished, Rule::InnerFirst, Rule::RingThenGem],
        ];
        yield 'metals first, in a ring that lies over what is not metal' => [
            [
                'boss' => ['material' => 'steel', 'relief' => ['hard_edges'], 'layer' => 4, 'surround' => 'ring'],
                'cloth' => ['layer' => 1, 'touches' => ['ring']],
                'ring' => ['layer' => 3],
            ],
            ['boss' => 'metallic_base'],
            ['metals' => 'first'],
            [Rule::InnerFirst, Rule::RingThenGem, Rule::MetalsPolicy],
        ];
    }

    /**
     * @param  array<string, array<string, mixed>>  $areas
     * @param  array<string, string>  $needs
     * @param  array<string, string>  $method
     * @param  list<Rule>  $rules
     */
    #[DataProvider('circles')]
    public function test_every_circle_planted_is_named_by_exactly_its_rules(
        array $areas,
        array $needs,
        array $method,
        array $rules,
    ): void {
        $clauses = [];
        foreach ($areas as $key => $area) {
            $clauses[] = [
                'kind' => 'technique',
                'technique' => ($area['material'] ?? '') === 'steel' ? $needs[$key] : 'base_coat',
                'status' => 'required',
                'scope' => ['area' => [$key]],
            ];
            if (($area['material'] ?? '') === 'skin') {
                $clauses[] = [
                    'kind' => 'technique',
                    'technique' => $needs[$key],
                    'status' => 'required',
                    'scope' => ['area' => [$key]],
                ];
            }
        }
        $standard = Demo::tierOf($clauses);
        $sculpt = Demo::sculptOf($areas);
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('tier'),
                $sculpt,
                null,
                MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
            ),
        );
        self::assertSame([], $plan->conflicts());
        self::assertCount(
            1,
            $plan->work->cycles,
            implode("\n", array_map(WarningWords::cycle(...), $plan->work->cycles)),
        );
        self::assertEqualsCanonicalizing($rules, $plan->work->cycles[0]->rules());
        self::assertEqualsCanonicalizing(
            array_keys($areas),
            array_map(fn ($a) => $a->key, $plan->work->cycles[0]->areas()),
        );
        self::assertContains($plan->work->cycles[0]->broken, $rules);
        foreach ($rules as $rule) {
            self::assertStringContainsString(Terms::rule($rule), WarningWords::cycle($plan->work->cycles[0]));
        }
    }

    /**
     * @return iterable<string, array{array<string, array<string, mixed>>, list<array<string, mixed>>, string, string,
     * Rule}>
     */
    public static function pairs(): iterable
    {
        $touching = fn (array $one, array $other): array => [
            'one' => $one + ['touches' => ['other']],
            'other' => $other,
        ];
        $need = fn (string $technique, string $area): array => [
            'kind' => 'technique',
            'technique' => $technique,
            'status' => 'required',
            'scope' => ['area' => [$area]],
        ];
        yield 'inner before outer' => [
            $touching(['layer' => 5], ['layer' => 1]),
            [$need('base_coat', 'one'), $need('base_coat', 'other')],
            'base_coat other',
            'base_coat one',
            Rule::InnerFirst,
        ];
        yield 'sprayed before brushed' => [
            $touching(['layer' => 1], ['layer' => 5]),
            [$need('base_coat', 'one'), $need('spray_base', 'other')],
            'spray_base other',
            'base_coat one',
            Rule::InnerFirst,
        ];
        yield 'a wash before the neighbour is lined' => [
            $touching([], ['relief' => ['hard_edges']]),
            [$need('wash_all_over', 'one'), $need('dark_lining', 'other')],
            'wash_all_over one',
            'dark_lining other',
            Rule::MessFirst,
        ];
        yield 'the ring before the gem, though it lies further out' => [
            [
                'lens' => ['material' => 'gem_lens', 'relief' => ['tiny_detail'], 'layer' => 1, 'surround' => 'ring'],
                'ring' => ['material' => 'gold', 'relief' => ['hard_edges'], 'layer' => 6, 'touches' => ['lens']],
            ],
            [$need('lens_two_tone', 'lens'), $need('edge_highlight', 'ring')],
            'edge_highlight ring',
            'lens_two_tone lens',
            Rule::RingThenGem,
        ];
        yield 'skin is shaded before teeth' => [
            $touching(
                ['material' => 'teeth_claw', 'relief' => ['tiny_detail'], 'layer' => 0],
                ['material' => 'skin', 'layer' => 3],
            ),
            [$need('base_coat', 'one'), $need('recess_shade', 'other')],
            'recess_shade other',
            'base_coat one',
            Rule::SkinThenTeeth,
        ];
        yield 'marks are sealed' => [
            ['one' => ['relief' => ['open_panel']]],
            [$need('decal', 'one'), ['kind' => 'effect', 'effect' => 'protect']],
            'decal one',
            'matt_varnish *',
            Rule::SealMarks,
        ];
        yield 'the rim comes last' => [
            [
                'one' => ['relief' => ['open_panel']],
                'rim' => ['material' => 'rim', 'relief' => ['rim'], 'rank' => 'ground'],
            ],
            [$need('edge_highlight', 'one'), $need('rim_paint', 'rim')],
            'edge_highlight one',
            'rim_paint rim',
            Rule::RimLast,
        ];
        yield 'kept-apart parts are painted before they are joined' => [
            ['body' => [], 'shield' => ['part' => 'shield', 'relief' => ['hard_edges'], 'touches' => ['body']]],
            [$need('edge_highlight', 'shield')],
            'edge_highlight shield',
            'join_parts *',
            Rule::JoinLate,
        ];
        yield 'and the joint is tidied after' => [
            ['body' => [], 'shield' => ['part' => 'shield', 'relief' => ['hard_edges'], 'touches' => ['body']]],
            [],
            'join_parts *',
            'tidy_base shield',
            Rule::JoinLate,
        ];
        yield 'and varnished with all the rest' => [
            ['body' => [], 'shield' => ['part' => 'shield', 'relief' => ['hard_edges'], 'touches' => ['body']]],
            [['kind' => 'effect', 'effect' => 'protect']],
            'tidy_base shield',
            'matt_varnish *',
            Rule::Phase,
        ];
        yield 'shade and light blended at once lie under the layers' => [
            ['one' => ['relief' => ['soft_folds']]],
            [$need('two_brush_blend', 'one'), $need('layer', 'one')],
            'two_brush_blend one',
            'layer one',
            Rule::LightLast,
        ];
        yield 'a light glaze pulls the layers together under the stipple' => [
            ['one' => ['relief' => ['soft_folds']]],
            [$need('stipple', 'one'), $need('glaze_light', 'one')],
            'glaze_light one',
            'stipple one',
            Rule::LightLast,
        ];
        yield 'chips are neat work beside a wash' => [
            $touching(['material' => 'plate', 'relief' => ['hard_edges']], ['layer' => 5]),
            [$need('sponge_chips', 'one'), $need('wash_all_over', 'other')],
            'wash_all_over other',
            'sponge_chips one',
            Rule::MessFirst,
        ];
        yield 'eyes come after a face that is painted last' => [
            $touching(
                ['material' => 'eye', 'relief' => ['tiny_detail'], 'layer' => 0],
                ['material' => 'skin', 'relief' => ['organic'], 'layer' => 3, 'focus' => 3],
            ),
            [$need('base_coat', 'one'), $need('base_coat', 'other')],
            'base_coat other',
            'base_coat one',
            Rule::InnerFirst,
        ];
        yield 'what is messy from its first paint on comes early, base or none' => [
            $touching(['layer' => 5, 'relief' => ['fine_texture']], ['layer' => 6]),
            [$need('drybrush', 'one'), $need('base_coat', 'other')],
            'drybrush one',
            'base_coat other',
            Rule::InnerFinished,
        ];
        yield 'a decal with no method goes on gloss' => [
            ['one' => ['relief' => ['open_panel']]],
            [$need('decal', 'one')],
            'gloss_under one',
            'decal one',
            Rule::MarkSurface,
        ];
        yield 'light goes from broad to narrow' => [
            ['one' => ['relief' => ['hard_edges', 'fine_texture']]],
            [$need('edge_highlight', 'one'), $need('drybrush', 'one')],
            'drybrush one',
            'edge_highlight one',
            Rule::LightLast,
        ];
    }

    /**
     * @param  array<string, array<string, mixed>>  $areas
     * @param  list<array<string, mixed>>  $clauses
     */
    #[DataProvider('pairs')]
    public function test_each_rule_orders_what_it_speaks_of_and_is_named(
        array $areas,
        array $clauses,
        string $before,
        string $after,
        Rule $rule,
    ): void {
        $plan = self::plan(Demo::tierOf($clauses), Demo::sculptOf($areas, ['parts' => ['shield']]));
        $names = array_map(fn (Step $s) => $s->technique->key.' '.($s->area->key ?? '*'), $plan->work->steps);
        [$first, $then] = [array_search($before, $names, true), array_search($after, $names, true)];
        self::assertIsInt($first, implode(', ', $names));
        self::assertIsInt($then, implode(', ', $names));
        self::assertLessThan($then, $first);
        self::assertContains($rule, $plan->work->held[$then]);
    }

    public function test_the_method_moves_metals_and_ground(): void
    {
        $clauses = [
            ['kind' => 'effect', 'effect' => 'protect'],
            ['kind' => 'effect', 'effect' => 'ground_colour', 'scope' => ['rank' => ['ground']]],
            ['kind' => 'effect', 'effect' => 'highlight_edge', 'scope' => ['area' => ['hook']]],
        ];
        $sculpt = Demo::sculptOf([
            'coat' => ['touches' => ['hook']],
            'hook' => ['material' => 'steel', 'relief' => ['hard_edges']],
            'ground' => ['material' => 'ground', 'relief' => ['ground'], 'rank' => 'ground', 'touches' => ['coat']],
        ]);
        $order = function (array $method) use ($clauses, $sculpt): array {
            $standard = Demo::tierOf($clauses);
            $plan = Demo::planner()->plan(
                new PlanRequest(
                    $standard,
                    $standard->tier('tier'),
                    $sculpt,
                    null,
                    MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
                ),
            );
            self::assertSame([], $plan->work->cycles);

            return array_map(
                fn (Step $s) => match (true) {
                    $s->area === null => $s->technique->key,
                    $s->phase->value === 40 => "{$s->area->key} base",
                    default => $s->area->key,
                },
                $plan->work->steps,
            );
        };
        $last = $order(['metals' => 'last', 'ground' => 'last']);
        self::assertGreaterThan(array_search('matt_varnish', $last, true), array_search('hook base', $last, true));
        self::assertGreaterThan(array_search('coat base', $last, true), array_search('ground', $last, true));
        $first = $order(['metals' => 'first', 'ground' => 'first']);
        self::assertLessThan(array_search('coat base', $first, true), array_search('hook base', $first, true));
        self::assertLessThan(array_search('hook base', $first, true), array_search('ground', $first, true));
    }

    public function test_what_is_kept_apart_strays_on_nothing_and_is_not_masked(): void
    {
        $clauses = [
            [
                'kind' => 'technique',
                'technique' => 'wash_all_over',
                'status' => 'required',
                'scope' => ['area' => ['shield']],
            ],
            [
                'kind' => 'technique',
                'technique' => 'dark_lining',
                'status' => 'required',
                'scope' => ['area' => ['body']],
            ],
        ];
        $held = function (?string $part) use ($clauses): array {
            $plan = self::plan(
                Demo::tierOf($clauses),
                Demo::sculptOf(
                    ['body' => ['relief' => ['hard_edges']], 'shield' => ['part' => $part, 'touches' => ['body']]],
                    ['parts' => ['shield']],
                ),
            );
            $line = array_search(
                'body:dark_lining',
                array_map(fn (Step $s) => $s->place()->id, $plan->work->steps),
                true,
            );

            return $plan->work->held[$line];
        };
        self::assertContains(Rule::MessFirst, $held(null));
        self::assertNotContains(Rule::MessFirst, $held('shield'));
        $masked = function (?string $part): int {
            $standard = Demo::tierOf([['kind' => 'sprayed_colours', 'min' => 2, 'max' => 2]]);
            $plan = Demo::planner()->plan(
                new PlanRequest(
                    $standard,
                    $standard->tier('tier'),
                    Demo::sculptOf(
                        ['body' => [], 'shield' => ['part' => $part, 'touches' => ['body']]],
                        ['parts' => ['shield']],
                    ),
                ),
            );

            return array_sum(array_map(fn ($c) => count($c->masked), $plan->sprayed));
        };
        self::assertSame([1, 0], [$masked(null), $masked('shield')]);
    }

    public function test_a_decal_goes_into_the_wet_wash_at_once_and_tufts_into_wet_paste(): void
    {
        $need = fn (string $technique, string $area): array => [
            'kind' => 'technique',
            'technique' => $technique,
            'status' => 'required',
            'scope' => ['area' => [$area]],
        ];
        $clauses = [
            $need('decal', 'panel'),
            $need('wash_all_over', 'panel'),
            $need('wash_all_over', 'coat'),
            $need('dark_lining', 'panel'),
            $need('edge_highlight', 'panel'),
            $need('ground_texture', 'ground'),
            $need('ground_tufts', 'ground'),
            ['kind' => 'effect', 'effect' => 'protect'],
        ];
        $sculpt = Demo::sculptOf([
            'coat' => ['touches' => ['panel']],
            'panel' => ['relief' => ['open_panel', 'hard_edges']],
            'ground' => ['material' => 'ground', 'relief' => ['ground'], 'rank' => 'ground'],
        ]);
        $standard = Demo::tierOf($clauses);
        $plan = fn (array $method): Plan => Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('tier'),
                $sculpt,
                null,
                MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
            ),
        );
        $wet = $plan(['decals' => 'wet_wash']);
        $places = array_map(fn (Step $s) => $s->place()->id, $wet->work->steps);
        $decal = array_search('panel:decal', $places, true);
        self::assertSame('panel:wash_all_over', $places[$decal - 1], 'the wash it goes into is the last of its pass');
        self::assertContains(Rule::WhileWet, $wet->work->held[$decal]);
        self::assertSame([], $wet->work->cycles);
        $tufts = array_search('ground:ground_tufts', $places, true);
        self::assertSame('ground:ground_texture', $places[$tufts - 1]);
        $gloss = array_map(fn (Step $s) => $s->place()->id, $plan(['decals' => 'on_gloss'])->work->steps);
        self::assertSame('panel:gloss_under', $gloss[array_search('panel:decal', $gloss, true) - 1]);
        self::assertNotContains('panel:gloss_under', $places);
    }

    public function test_ground_kept_apart_is_joined_at_the_end_and_touches_nothing(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'effect', 'effect' => 'ground_light', 'scope' => ['rank' => ['ground']]],
        ]);
        $sculpt = Demo::sculptOf([
            'coat' => ['touches' => ['ground']],
            'ground' => ['material' => 'ground', 'relief' => ['ground'], 'rank' => 'ground'],
        ]);
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('tier'),
                $sculpt,
                null,
                MethodFormat::read(Demo::object(['format' => MethodFormat::WORD, 'ground' => 'apart'])),
            ),
        );
        $places = array_map(fn (Step $s) => $s->place()->id, $plan->work->steps);
        $join = array_search('*:join_base', $places, true);
        self::assertSame(count($places) - 1, $join);
        self::assertContains(Rule::GroundPolicy, $plan->work->held[$join]);
        self::assertSame(['method.ground'], Reason::ids($plan->work->steps[$join]->because));
        $coat = array_search('coat', array_map(fn (Step $s) => $s->area?->key, $plan->work->steps), true);
        self::assertNotContains(Rule::MessFirst, $plan->work->held[$coat], 'the drybrushed ground strays on nothing');
    }

    public function test_a_rule_that_is_set_aside_holds_no_longer_between_the_two_and_is_said(): void
    {
        $standard = Demo::tierOf([['kind' => 'technique', 'technique' => 'base_coat', 'status' => 'required']]);
        $request = new PlanRequest(
            $standard,
            $standard->tier('tier'),
            Demo::sculptOf(['skin' => ['layer' => 1, 'touches' => ['coat']], 'coat' => ['layer' => 4]]),
        );
        $order = fn (PlanRequest $r): array => array_map(
            fn (Step $s) => $s->key()->id,
            Demo::planner()->plan($r)->work->steps,
        );
        self::assertSame(['skin:base_coat:1', 'coat:base_coat:1'], $order($request));
        $turned = ['coat:base_coat:1', 'skin:base_coat:1'];
        $byHand = array_map(StepKey::kept(...), $turned);
        self::assertSame(
            ['skin:base_coat:1', 'coat:base_coat:1'],
            $order($request->arranged(new Arrangement(sequence: $byHand))),
            'the rule wins',
        );
        $set = $request->arranged(
            new Arrangement(
                [
                    new Overrule(
                        Rule::InnerFirst,
                        StepPlace::kept('skin:base_coat'),
                        StepPlace::kept('coat:base_coat'),
                        'The coat is sprayed over a mask.',
                    ),
                ],
                $byHand,
            ),
        );
        self::assertSame($turned, $order($set));
        $said = array_values(
            array_filter(Demo::planner()->plan($set)->warnings, fn ($w) => $w->kind->value === 'rule_overruled'),
        );
        self::assertSame([Rule::InnerFirst], $said[0]->rules());
        $text = (new WarningWords($set))->of($said[0]);
        self::assertStringContainsString('The coat is sprayed over a mask.', $text);
        self::assertStringContainsString('base colour, two coats on skin', $text);
    }

    public function test_a_larger_batch_waits_no_longer_for_paint_to_dry(): void
    {
        $standard = Demo::standard();
        $waiting = fn (int $pieces): float => Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('company'),
                Demo::sculpt(),
                Demo::scheme(),
                shelf: Demo::shelf(),
                pieces: $pieces,
            ),
        )->work->idleMinutes;
        self::assertGreaterThan(60, $waiting(1));
        self::assertLessThan($waiting(1) / 2, $waiting(20));
    }

    private static function plan(Standard $standard, Sculpt $sculpt): Plan
    {
        return Demo::planner()->plan(new PlanRequest($standard, $standard->tier('tier'), $sculpt));
    }

    /** A figure of random areas at a random rung of the demo's ladder. */
    private static function randomPlan(int $seed): Plan
    {
        $random = new Randomizer(new Mt19937($seed));
        $pick = fn (array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $areas = [];
        $count = $random->getInt(3, 12);
        for ($i = 0; $i < $count; $i++) {
            $material = $pick([
                'cloth',
                'cloth',
                'leather',
                'skin',
                'plate',
                'steel',
                'gold',
                'copper',
                'wood',
                'hair_fur',
                'gem_lens',
                'teeth_claw',
                'eye',
                'parchment',
                'glow',
            ]);
            $small = in_array($material, ['gem_lens', 'eye', 'teeth_claw'], true);
            $areas["a$i"] = [
                'material' => $material,
                'relief' => $small
                    ? ['tiny_detail']
                    : array_slice(
                        $random->shuffleArray([
                            'hard_edges',
                            'soft_folds',
                            'fine_texture',
                            'open_panel',
                            'deep_recesses',
                            'rivets',
                            'joints',
                        ]),
                        0,
                        $random->getInt(1, 2),
                    ),
                'rank' => $small ? 'detail' : $pick(['main', 'secondary', 'detail']),
                'focus' => $random->getInt(0, 3),
                'layer' => $random->getInt(0, 6),
                'touches' => $i === 0
                        ? []
                        : array_values(
                            array_map(
                                fn (int $j) => "a$j",
                                array_slice($random->shuffleArray(range(0, $i - 1)), 0, $random->getInt(0, 3)),
                            ),
                        ),
                'surround' => $material === 'gem_lens' && $i > 0 ? 'a'.$random->getInt(0, $i - 1) : null,
                'part' => $random->getInt(1, 8) === 1 ? 'shield' : null,
            ];
        }
        $areas['ground'] = [
            'material' => 'ground',
            'relief' => ['ground'],
            'rank' => 'ground',
            'layer' => 0,
            'touches' => ['a0'],
        ];
        $areas['rim'] = [
            'material' => 'rim',
            'relief' => ['rim'],
            'rank' => 'ground',
            'layer' => 0,
            'touches' => ['ground'],
        ];
        $standard = self::$standard ??= Demo::standard();
        $tier = $pick(['muster', 'company', 'banner', 'cabinet', 'centrepiece']);
        $colours = [
            ['base' => '#506070', 'shades' => ['#203040'], 'lights' => ['#8090a0', '#c0d0e0']],
            ['base' => '#705040', 'shades' => ['#203040'], 'lights' => ['#a08070']],
            ['base' => '#608050', 'shades' => ['#102010', '#001000'], 'lights' => ['#90b080', '#d0f0c0']],
            ['base' => '#909090', 'shades' => ['#303030'], 'lights' => ['#c0c0c0']],
        ];
        $scheme = array_map(fn () => $pick($colours), $areas);
        $method = ['format' => MethodFormat::WORD];
        foreach (School::cases() as $school) {
            if ($random->getInt(1, 3) === 1) {
                $method[$school->value] = $pick($school->answers());
            }
        }

        if ($random->getInt(1, 4) === 1) {
            $steps = ['ground_paint', 'ground_texture', 'ground_sand', 'ground_wash', 'ground_drybrush', 'ground_wet', 'ground_tufts'];
            $method['ground_steps'] = $random->shuffleArray($steps);
        }
        $decals = array_keys(array_filter($areas, fn (array $a) => in_array('open_panel', $a['relief'], true)));
        $amendments = $decals === [] || $random->getInt(1, 2) === 1 ? [] : AmendmentFormat::read(Demo::object([[
            'level' => 'order', 'do' => 'add', 'clause' => null, 'technique' => 'decal', 'scope' => ['area' => [$decals[0]]],
            'values' => (object) [], 'reason' => 'Its number.', 'price' => null, 'on' => null,
        ]]), $standard->techniqueKeys());

        return Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier($tier),
                Demo::sculptOf($areas, ['role' => $pick(['regular', 'hero']), 'parts' => ['shield']]),
                SchemeFormat::read(
                    Demo::object([
                        'format' => SchemeFormat::WORD,
                        'name' => 'S',
                        'slots' => (object) [],
                        'areas' => $scheme,
                    ]),
                ),
                $seed % 4 === 0 ? new Method() : MethodFormat::read(Demo::object($method)),
                $amendments,
                pieces: $pick([1, 5, 12]),
            ),
        );
    }
}
