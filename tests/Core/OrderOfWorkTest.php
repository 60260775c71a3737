<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sequencing\Rule;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Standard\Standard;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;
use Tests\Support\OrderChecker;

final class OrderOfWorkTest extends TestCase
{
    private static ?Standard $standard = null;

    public function test_no_rule_is_broken_on_random_plans(): void
    {
        $circles = 0;
        $checked = 0;
        foreach (range(1, 240) as $seed) {
            $plan = self::randomPlan($seed);
            $broken = OrderChecker::broken($plan);
            if ($plan->work->cycles !== []) {
                // Where rules run in a circle one of them gives way, and it is named.
                $circles++;
                $given = array_map(fn ($c) => $c->broken->value, $plan->work->cycles);
                foreach ($broken as $one) {
                    self::assertContains(strtok($one, ':'), $given, "seed $seed: $one");
                }

                continue;
            }
            self::assertSame([], $broken, "seed $seed");
            $checked++;
        }
        self::assertGreaterThanOrEqual(200, $checked, "$circles plans had rules in a circle");
    }

    public function test_every_step_is_in_one_pass_and_passes_share_a_pot(): void
    {
        foreach (range(1, 30) as $seed) {
            $plan = self::randomPlan($seed);
            $seen = [];
            foreach ($plan->work->passes as $pass) {
                self::assertCount(1, array_unique(array_map(fn (int $i) => $plan->work->steps[$i]->pot(), $pass->steps)), "seed $seed");
                self::assertCount(count($pass->steps), array_unique(array_map(fn (int $i) => $plan->work->steps[$i]->area?->key, $pass->steps)), "seed $seed");
                array_push($seen, ...$pass->steps);
            }
            self::assertSame(array_keys($plan->work->steps), $seen, "seed $seed");
            self::assertLessThanOrEqual($plan->minutesByArea() + 1e-9, $plan->minutesByPasses());
        }
    }

    public function test_areas_that_frame_one_another_are_named_as_a_circle_with_its_rule(): void
    {
        $plan = self::plan(Demo::tierOf([]), Demo::sculptOf([
            'lens' => ['material' => 'gem_lens', 'relief' => ['tiny_detail'], 'touches' => ['ring'], 'surround' => 'ring'],
            'ring' => ['material' => 'plate', 'relief' => ['tiny_detail'], 'touches' => ['lens'], 'surround' => 'lens'],
        ]));
        self::assertCount(1, $plan->work->cycles);
        self::assertSame([Rule::RingThenGem], $plan->work->cycles[0]->rules);
        self::assertEqualsCanonicalizing(['lens', 'ring'], $plan->work->cycles[0]->areas);
        $warnings = array_values(array_filter($plan->warnings, fn ($w) => $w->kind === 'order_circle'));
        self::assertSame(['ring_then_gem'], $warnings[0]->rules);
        self::assertStringContainsString('lens', $warnings[0]->text);
        self::assertCount(2, $plan->work->steps);
    }

    /** @return iterable<string, array{array<string, array<string, mixed>>, list<array<string, mixed>>, string, string, Rule}> */
    public static function pairs(): iterable
    {
        $touching = fn (array $one, array $other): array => ['one' => $one + ['touches' => ['other']], 'other' => $other];
        $need = fn (string $technique, string $area): array => ['kind' => 'technique', 'technique' => $technique, 'status' => 'required', 'scope' => ['area' => [$area]]];
        yield 'inner before outer' => [$touching(['layer' => 5], ['layer' => 1]), [$need('base_coat', 'one'), $need('base_coat', 'other')], 'base_coat other', 'base_coat one', Rule::InnerFirst];
        yield 'sprayed before brushed' => [$touching(['layer' => 1], ['layer' => 5]), [$need('base_coat', 'one'), $need('spray_base', 'other')], 'spray_base other', 'base_coat one', Rule::InnerFirst];
        yield 'a wash before the neighbour is lined' => [$touching([], ['relief' => ['hard_edges']]), [$need('wash_all_over', 'one'), $need('dark_lining', 'other')], 'wash_all_over one', 'dark_lining other', Rule::MessFirst];
        yield 'the ring before the gem, though it lies further out' => [['lens' => ['material' => 'gem_lens', 'relief' => ['tiny_detail'], 'layer' => 1, 'surround' => 'ring'], 'ring' => ['material' => 'gold', 'relief' => ['hard_edges'], 'layer' => 6, 'touches' => ['lens']]],
            [$need('lens_two_tone', 'lens'), $need('edge_highlight', 'ring')], 'edge_highlight ring', 'lens_two_tone lens', Rule::RingThenGem];
        yield 'skin is shaded before teeth' => [$touching(['material' => 'teeth_claw', 'relief' => ['tiny_detail'], 'layer' => 0], ['material' => 'skin', 'layer' => 3]), [$need('base_coat', 'one'), $need('recess_shade', 'other')], 'recess_shade other', 'base_coat one', Rule::SkinThenTeeth];
        yield 'marks are sealed' => [['one' => ['relief' => ['open_panel']]], [$need('decal', 'one'), ['kind' => 'effect', 'effect' => 'protect']], 'decal one', 'matt_varnish *', Rule::SealMarks];
        yield 'the rim comes last' => [['one' => ['relief' => ['open_panel']], 'rim' => ['material' => 'rim', 'relief' => ['rim'], 'rank' => 'ground']], [$need('edge_highlight', 'one'), $need('rim_paint', 'rim')], 'edge_highlight one', 'rim_paint rim', Rule::RimLast];
        yield 'light goes from broad to narrow' => [['one' => ['relief' => ['hard_edges', 'fine_texture']]], [$need('edge_highlight', 'one'), $need('drybrush', 'one')], 'drybrush one', 'edge_highlight one', Rule::LightLast];
    }

    /**
     * @param  array<string, array<string, mixed>>  $areas
     * @param  list<array<string, mixed>>  $clauses
     */
    #[DataProvider('pairs')]
    public function test_each_rule_orders_what_it_speaks_of_and_is_named(array $areas, array $clauses, string $before, string $after, Rule $rule): void
    {
        $plan = self::plan(Demo::tierOf($clauses), Demo::sculptOf($areas));
        $names = array_map(fn (Step $s) => $s->technique->key.' '.($s->area->key ?? '*'), $plan->work->steps);
        [$first, $then] = [array_search($before, $names, true), array_search($after, $names, true)];
        self::assertIsInt($first, implode(', ', $names));
        self::assertIsInt($then, implode(', ', $names));
        self::assertLessThan($then, $first);
        self::assertContains($rule, $plan->work->held[$then]);
    }

    public function test_the_method_moves_metals_and_ground(): void
    {
        $clauses = [['kind' => 'effect', 'effect' => 'protect'], ['kind' => 'effect', 'effect' => 'ground_colour', 'scope' => ['rank' => ['ground']]], ['kind' => 'effect', 'effect' => 'highlight_edge', 'scope' => ['area' => ['hook']]]];
        $sculpt = Demo::sculptOf(['coat' => ['touches' => ['hook']], 'hook' => ['material' => 'steel', 'relief' => ['hard_edges']], 'ground' => ['material' => 'ground', 'relief' => ['ground'], 'rank' => 'ground', 'touches' => ['coat']]]);
        $order = function (array $method) use ($clauses, $sculpt): array {
            $standard = Demo::tierOf($clauses);
            $plan = Planner::plan(new PlanRequest($standard, $standard->tier('tier'), $sculpt, null, MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method))));
            self::assertSame([], $plan->work->cycles);

            return array_map(fn (Step $s) => match (true) {
                $s->area === null => $s->technique->key,
                $s->phase->value === 40 => "{$s->area->key} base",
                default => $s->area->key,
            }, $plan->work->steps);
        };
        $last = $order(['metals' => 'last', 'ground' => 'last']);
        self::assertGreaterThan(array_search('matt_varnish', $last, true), array_search('hook base', $last, true));
        self::assertGreaterThan(array_search('coat base', $last, true), array_search('ground', $last, true));
        $first = $order(['metals' => 'first', 'ground' => 'first']);
        self::assertLessThan(array_search('coat base', $first, true), array_search('hook base', $first, true));
        self::assertLessThan(array_search('hook base', $first, true), array_search('ground', $first, true));
    }

    public function test_a_larger_batch_waits_no_longer_for_paint_to_dry(): void
    {
        $standard = Demo::standard();
        $waiting = fn (int $pieces): float => Planner::plan(new PlanRequest($standard, $standard->tier('company'), Demo::sculpt(), Demo::scheme(), shelf: Demo::shelf(), pieces: $pieces))->work->waiting;
        self::assertGreaterThan(60, $waiting(1));
        self::assertLessThan($waiting(1) / 2, $waiting(20));
    }

    private static function plan(Standard $standard, Sculpt $sculpt): Plan
    {
        return Planner::plan(new PlanRequest($standard, $standard->tier('tier'), $sculpt));
    }

    /** A figure of random areas at a random rung of the demo's ladder. */
    private static function randomPlan(int $seed): Plan
    {
        $random = new Randomizer(new Mt19937($seed));
        $pick = fn (array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $areas = [];
        $count = $random->getInt(3, 12);
        for ($i = 0; $i < $count; $i++) {
            $material = $pick(['cloth', 'cloth', 'leather', 'skin', 'plate', 'steel', 'gold', 'copper', 'wood', 'hair_fur', 'gem_lens', 'teeth_claw', 'eye', 'parchment', 'glow']);
            $small = in_array($material, ['gem_lens', 'eye', 'teeth_claw'], true);
            $areas["a$i"] = [
                'material' => $material, 'relief' => $small ? ['tiny_detail'] : array_slice($random->shuffleArray(['hard_edges', 'soft_folds', 'fine_texture', 'open_panel', 'deep_recesses', 'rivets', 'joints']), 0, $random->getInt(1, 2)),
                'rank' => $small ? 'detail' : $pick(['main', 'secondary', 'detail']), 'focus' => $random->getInt(0, 3), 'layer' => $random->getInt(0, 6),
                'touches' => $i === 0 ? [] : array_values(array_map(fn (int $j) => "a$j", array_slice($random->shuffleArray(range(0, $i - 1)), 0, $random->getInt(0, 3)))),
                'surround' => $material === 'gem_lens' && $i > 0 ? 'a'.$random->getInt(0, $i - 1) : null,
            ];
        }
        $areas['ground'] = ['material' => 'ground', 'relief' => ['ground'], 'rank' => 'ground', 'layer' => 0, 'touches' => ['a0']];
        $areas['rim'] = ['material' => 'rim', 'relief' => ['rim'], 'rank' => 'ground', 'layer' => 0, 'touches' => ['ground']];
        $standard = self::$standard ??= Demo::standard();
        $tier = $pick(['muster', 'company', 'banner', 'cabinet', 'centrepiece']);

        return Planner::plan(new PlanRequest($standard, $standard->tier($tier), Demo::sculptOf($areas, ['role' => $pick(['regular', 'hero'])]), pieces: $pick([1, 5, 12])));
    }
}
