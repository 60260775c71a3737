<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Demand\ClausesInForce;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Scope;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Words\PlanWords;
use PHPUnit\Framework\TestCase;
use Tests\Support\Asked;
use Tests\Support\Demo;

/** How clauses, extended tiers and amendments become what is asked of an area. */
final class ResolutionTest extends TestCase
{
    public function test_a_tier_that_extends_another_replaces_in_place_drops_and_adds_at_the_end(): void
    {
        $document = (array) Demo::json('standards/five-rungs.json');
        $tier = fn (string $key, array $clauses, array $more = []): array => $more + [
            'key' => $key,
            'name' => $key,
            'order' => 1,
            'status' => 'offered',
            'intent' => '',
            'pace' => 'fast',
            'aim' => 'quickest',
            'viewing' => ['distance_cm' => 60, 'angle_arcmin' => 2],
            'clauses' => array_map(fn (string $id) => ['id' => $id, 'kind' => 'skill', 'min' => 1], $clauses),
        ];
        $document['prices'] = [];
        $document['tiers'] = [
            $tier('a', ['a.one', 'a.two', 'a.three']),
            $tier('b', ['b.four', 'b.two'], ['extends' => 'a', 'drop' => ['one']]),
            $tier('c', ['c.three'], ['extends' => 'b']),
        ];
        $standard = \Ordotype\Core\Format\StandardFormat::read(Demo::object($document));
        $ids = fn (string $key): array => array_map(
            fn (Clause $c) => $c->id,
            $standard->clausesOf($standard->tier($key)),
        );
        self::assertSame(['b.two', 'a.three', 'b.four'], $ids('b'));
        self::assertSame(['b.two', 'c.three', 'b.four'], $ids('c'));
    }

    public function test_ground_is_meant_only_where_it_is_named(): void
    {
        $sculpt = Demo::sculptOf([
            'coat' => [],
            'ground' => ['material' => 'ground', 'relief' => ['ground'], 'rank' => 'ground', 'focus' => 2],
        ]);
        [$coat, $ground] = $sculpt->areas;
        self::assertTrue((new Scope())->matchesPainting($coat, $sculpt));
        self::assertFalse((new Scope())->matchesPainting($ground, $sculpt));
        self::assertTrue((new Scope())->matches($ground, $sculpt));
        self::assertFalse((new Scope(focusMin: 2))->matchesPainting($ground, $sculpt));
        self::assertTrue((new Scope(area: ['ground']))->matchesPainting($ground, $sculpt));
        self::assertFalse(
            (new Scope(area: ['ground'], except: new Scope(focusMin: 2)))->matchesPainting($ground, $sculpt),
        );
    }

    public function test_an_effect_is_absorbed_only_by_what_implies_it(): void
    {
        $sculpt = Demo::sculptOf(['coat' => ['relief' => ['hard_edges']]]);
        $effect = fn (array $more): array => $more + ['kind' => 'effect', 'effect' => 'highlight_edge'];
        $asked = function (array ...$clauses) use ($sculpt): array {
            $plan = self::plan(Demo::tierOf($clauses), $sculpt);

            return array_map(
                fn (RequirementState $s) => implode(' ', Reason::ids($s->requirement->reasons)),
                $plan->requirements,
            );
        };
        self::assertSame(
            ['tier.0 tier.1'],
            $asked($effect(['extent' => 'prominent']), $effect(['extent' => 'full', 'passes' => 2])),
        );
        self::assertSame(['tier.0 tier.1'], $asked($effect(['passes' => 2]), $effect(['extent' => 'spot'])));
        self::assertSame(
            ['tier.0', 'tier.1'],
            $asked($effect(['extent' => 'full']), $effect(['extent' => 'spot', 'passes' => 2])),
            'neither implies the other',
        );
        self::assertSame(
            ['tier.0 tier.1'],
            $asked($effect([]), $effect(['by' => ['edge_highlight']])),
            'a narrower by implies the open one',
        );
        self::assertSame(
            ['tier.0', 'tier.1'],
            $asked($effect(['by' => ['edge_highlight']]), $effect(['extent' => 'prominent', 'by' => ['drybrush']])),
        );
    }

    public function test_what_no_technique_can_give_there_is_not_applicable_and_no_conflict(): void
    {
        $sculpt = Demo::sculptOf(['coat' => ['material' => 'cloth', 'relief' => ['soft_folds']]]);
        $plan = self::plan(
            Demo::tierOf([
                ['kind' => 'effect', 'effect' => 'letter_full'],
                ['kind' => 'technique', 'technique' => 'metallic_base', 'status' => 'required'],
                ['kind' => 'technique', 'technique' => 'reflection', 'status' => 'required'],
            ]),
            $sculpt,
        );
        self::assertSame([], $plan->conflicts());
        $said = array_map(fn ($n) => [$n->area->key, $n->asked->subject()], $plan->notApplicable());
        self::assertEqualsCanonicalizing(
            [['coat', 'letter_full'], ['coat', 'metallic_base'], ['coat', 'reflection']],
            $said,
        );
        foreach ($plan->notApplicable() as $one) {
            self::assertNotSame('', (new PlanWords($plan->request))->notApplicable($one));
        }
    }

    public function test_a_conflict_names_its_clauses_in_words_and_leaves_the_rest_planned(): void
    {
        $sculpt = Demo::sculptOf(['coat' => [], 'hat' => []]);
        $plan = self::plan(
            Demo::tierOf([
                ['kind' => 'steps', 'scope' => ['area' => ['coat']], 'min' => 1, 'max' => 1],
                ['kind' => 'effect', 'effect' => 'tint', 'scope' => ['area' => ['coat']]],
                ['kind' => 'effect', 'effect' => 'highlight_raised', 'extent' => 'full', 'passes' => 3],
            ]),
            $sculpt,
        );
        self::assertNull($plan->areas[0]->minutes());
        self::assertNotNull($plan->areas[1]->minutes());
        self::assertSame(
            [['coat', ['tier.0', 'tier.2']]],
            array_map(fn ($c) => [$c->area?->key, Reason::ids($c->reasons)], $plan->conflicts()),
        );
        $said = (new PlanWords($plan->request))->conflict($plan->conflicts()[0]);
        self::assertStringContainsString('colour steps', $said);
        self::assertStringContainsString('light on raised forms', $said);
        $states = [];
        foreach ($plan->requirements as $state) {
            $states[$state->requirement->area.' '.$state->requirement->subject()] = $state->state?->value;
        }
        self::assertSame('conflict', $states['coat colour_steps']);
        self::assertSame('met', $states['hat highlight_raised']);
    }

    public function test_amendments_omit_set_and_add_on_the_areas_they_name(): void
    {
        $plain = self::company([]);
        self::assertContains('highlight_raised', self::asked($plain, 'boots'));

        $omitted = self::company([
            ['level' => 'order', 'do' => 'omit', 'clause' => 'company.raised', 'scope' => ['area' => ['boots']]],
        ]);
        self::assertNotContains('highlight_raised', self::asked($omitted, 'boots'));
        self::assertContains('highlight_raised', self::asked($omitted, 'coat'));

        $tooMany = self::company([
            [
                'level' => 'unit',
                'do' => 'set',
                'clause' => 'company.edges',
                'scope' => ['area' => ['hook']],
                'values' => ['extent' => 'full', 'by' => ['edge_highlight']],
            ],
        ]);
        self::assertSame(
            ['muster.steps.main', 'muster.shade', 'company.edges', 'amend.1', 'company.raised'],
            Reason::ids($tooMany->conflicts()[0]->reasons),
            'four colour steps where three are allowed',
        );

        $set = self::company([
            [
                'level' => 'unit',
                'do' => 'set',
                'clause' => 'muster.steps.main',
                'scope' => ['area' => ['hook']],
                'values' => ['max' => 4],
            ],
            [
                'level' => 'unit',
                'do' => 'set',
                'clause' => 'company.edges',
                'scope' => ['area' => ['hook']],
                'values' => ['extent' => 'full', 'by' => ['edge_highlight']],
            ],
        ]);
        $edge = self::requirement($set, 'hook', 'highlight_edge');
        self::assertSame('full', $edge->extent->word());
        self::assertSame(['company.edges', 'amend.2'], $edge->clauses);
        self::assertSame('prominent', self::requirement($set, 'gorget', 'highlight_edge')->extent->word());
        self::assertContains('amend.2', self::because($set, 'hook', 'edge_highlight'));

        $added = self::company([
            ['level' => 'piece', 'do' => 'add', 'technique' => 'tinted_lining', 'scope' => ['area' => ['gorget']]],
        ]);
        self::assertSame(['amend.1'], self::because($added, 'gorget', 'tinted_lining'));
        self::assertGreaterThan($plain->minutesByArea(), $added->minutesByArea());

        $clause = self::company([
            [
                'level' => 'order',
                'do' => 'add',
                'scope' => ['area' => ['coat']],
                'values' => ['kind' => 'effect', 'effect' => 'blend', 'extent' => 'full'],
            ],
        ]);
        self::assertSame(['amend.1'], self::requirement($clause, 'coat', 'blend')->clauses);
        self::assertNotContains('blend', self::asked($clause, 'hood'));

        $without = self::company([['level' => 'unit', 'do' => 'omit', 'technique' => 'drybrush']]);
        foreach ($without->areas as $area) {
            self::assertFalse($area->choice?->uses('drybrush') ?? false);
        }
    }

    public function test_amendments_come_in_the_order_of_their_level_whatever_the_file_says(): void
    {
        $extent = fn (array $amendments): string => self::requirement(
            self::company($amendments),
            'hook',
            'highlight_edge',
        )->extent->word();
        $unit = [
            'level' => 'unit',
            'do' => 'set',
            'clause' => 'company.edges',
            'values' => ['extent' => 'full', 'by' => ['edge_highlight']],
        ];
        $studio = ['level' => 'studio', 'do' => 'set', 'clause' => 'company.edges', 'values' => ['extent' => 'spot']];
        self::assertSame('full', $extent([$unit, $studio]));
        self::assertSame('full', $extent([$studio, $unit]));
    }

    public function test_an_amendment_that_does_not_fit_is_refused_with_its_place(): void
    {
        foreach (
            [
                [['level' => 'unit', 'do' => 'omit', 'clause' => 'company.nothing'], '/0/clause'],
                [
                    ['level' => 'unit', 'do' => 'set', 'clause' => 'company.edges', 'values' => ['extent' => 'huge']],
                    '/0/values/extent',
                ],
                [
                    ['level' => 'unit', 'do' => 'set', 'clause' => 'company.edges', 'values' => ['id' => 'x']],
                    '/0/values/id',
                ],
            ] as [$amendment, $path]
        ) {
            try {
                self::company([$amendment]);
                self::fail("$path was taken.");
            } catch (FormatException $e) {
                self::assertSame($path, $e->problems[0]->path);
            }
        }
    }

    public function test_whole_techniques_are_planned_once_and_the_method_picks_the_undercoat(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'effect', 'effect' => 'undercoat'],
            ['kind' => 'effect', 'effect' => 'protect'],
        ]);
        $sculpt = Demo::sculptOf(['coat' => [], 'hat' => []]);
        $whole = fn (array $method): array => array_map(
            fn ($t) => $t->technique->key,
            Demo::planner()->plan(
                new PlanRequest(
                    $standard,
                    $standard->tier('tier'),
                    $sculpt,
                    null,
                    \Ordotype\Core\Format\MethodFormat::read(
                        Demo::object(['format' => 'ordotype/method@1'] + $method),
                    ),
                ),
            )->whole->choice->techniques ?? [],
        );
        self::assertSame(
            ['prime_can', 'matt_varnish'],
            $whole([]),
            'the cheapest allowed: 0.2 min per 10 cm² (common practice, no source)',
        );
        self::assertSame(['prime_brush', 'matt_varnish'], $whole(['spraying' => 'brush_only']));
        self::assertSame(
            ['prime_airbrush', 'value_sketch', 'matt_varnish'],
            $whole(['spraying' => 'airbrush', 'undercoat' => 'value_sketch']),
        );
    }

    public function test_preparation_is_done_only_where_a_clause_names_it(): void
    {
        $sculpt = Demo::sculptOf(['coat' => []]);
        self::assertSame([], self::plan(Demo::tierOf([]), $sculpt)->whole->choice?->techniques);
        $plan = self::plan(
            Demo::tierOf(
                [['kind' => 'technique', 'technique' => 'mould_line_removal', 'status' => 'required']],
                ['pace' => 'even'],
            ),
            $sculpt,
        );
        // 2.0 min on 10 cm², 40 cm², pace even 1.5: preparation alone is stretched by the pace.
        self::assertEqualsWithDelta(12.0, $plan->whole->minutes(), 1e-9);
    }

    /** @param  list<array<string, mixed>>  $amendments */
    private static function company(array $amendments): Plan
    {
        $standard = Demo::standard();
        $list = array_map(
            fn (array $a) => $a + [
                'clause' => null,
                'technique' => null,
                'scope' => (object) [],
                'values' => (object) [],
                'reason' => 'agreed',
                'price' => null,
                'on' => null,
            ],
            $amendments,
        );
        $read = AmendmentFormat::read(
            Demo::object($list),
            array_fill_keys(array_map(fn (Technique $t) => $t->key, $standard->techniques), true),
        );
        self::assertNotSame([], ClausesInForce::of($standard, $standard->tier('company'), $read)->all);

        return Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier('company'), Demo::sculpt(), amendments: $read),
        );
    }

    private static function plan(Standard $standard, Sculpt $sculpt): Plan
    {
        return Demo::planner()->plan(new PlanRequest($standard, $standard->tier('tier'), $sculpt));
    }

    /** @return list<string> */
    private static function asked(Plan $plan, string $area): array
    {
        return array_map(
            fn (Requirement $r) => $r->subject(),
            $plan->areas[$plan->request->sculpt->place($area)]->demand->requirements,
        );
    }

    private static function requirement(Plan $plan, string $area, string $subject): Asked
    {
        foreach ($plan->areas[$plan->request->sculpt->place($area)]->demand->requirements as $requirement) {
            if ($requirement->subject() === $subject) {
                return Asked::of($requirement);
            }
        }
        self::fail("$area is not asked for $subject.");
    }

    /** @return list<string> */
    private static function because(Plan $plan, string $area, string $technique): array
    {
        foreach ($plan->work->steps as $step) {
            if ($step->area?->key === $area && $step->technique->key === $technique) {
                return Reason::ids($step->because);
            }
        }
        self::fail("$area does not get $technique.");
    }
}
