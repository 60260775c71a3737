<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Outlook\Cut;
use Ordotype\Core\Planning\Outlook\Cutting;
use Ordotype\Core\Planning\Outlook\PlanComparison;
use Ordotype\Core\Planning\Outlook\RaisedArea;
use Ordotype\Core\Planning\Outlook\Raising;
use Ordotype\Core\Planning\Outlook\SprayComparison;
use Ordotype\Core\Planning\Outlook\SprayOrBrush;
use Ordotype\Core\Planning\Plan\Arrangement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\SurplusStep;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\Move;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/** What the lead can bend of a plan, and what is compared before it is done. */
final class ArrangedPlanTest extends TestCase
{
    public function test_by_airbrush_or_by_brush_with_its_parts(): void
    {
        $colours = fn (string $hex): array => ['base' => $hex, 'shades' => [], 'lights' => []];
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'areas' => (object) [],
                'slots' => ['green' => $colours('#2f5a50'), 'red' => $colours('#7a2f2a')],
            ]),
        );
        $sculpt = Demo::sculptOf([
            'coat' => ['share_pct' => 50, 'slot' => 'green'],
            'hood' => ['share_pct' => 20, 'slot' => 'green'],
            'cape' => ['share_pct' => 30, 'slot' => 'red', 'touches' => ['coat']],
        ]);
        $no = fn (string $technique): array => [
            'kind' => 'technique',
            'technique' => $technique,
            'status' => 'not_offered',
        ];
        $standard = Demo::tierOf([
            ['kind' => 'sprayed_colours', 'min' => 1, 'max' => 1],
            ...array_map($no, ['stain_coat', 'stain_fade', 'one_coat_base', 'thin_base', 'wet_blend']),
        ]);
        $both = (new SprayComparison())->of(
            new PlanRequest($standard, $standard->tier('tier'), $sculpt, $scheme, pieces: 10),
        );
        self::assertSame(
            [['#2f5a50', true], ['#7a2f2a', false]],
            array_map(fn (SprayOrBrush $c) => [$c->paint, $c->isSprayed], $both),
        );
        // From the table of techniques: spray_base 0.15 + 0.6 × cm²/10, base_coat 0.5 + 3.0 × 2 coats × cm²/10,
        // base_coat suits all; 40 cm² in all.
        self::assertEqualsWithDelta(10 * (0.15 + 0.6 * 2.0 + 0.15 + 0.6 * 0.8), $both[0]->sprayHand, 1e-9);
        self::assertEqualsWithDelta([10.0, 0.0], [$both[0]->spraySetup, $both[0]->masking], 1e-9);
        self::assertSame(1.0, $both[0]->brushSetup);
        self::assertEqualsWithDelta(10 * (0.5 + 6.0 * 2.0 + 0.5 + 6.0 * 0.8), $both[0]->brushHand, 1e-9);
        self::assertSame(['coat'], array_map(fn ($a) => $a->key, $both[1]->masked));
        self::assertEqualsWithDelta(
            (10 * 4.0 * 20) / 10 + 3,
            $both[1]->masking,
            1e-9,
            'masking takes 4 minutes for 10 cm², the coat has 20, and is set up once',
        );
        self::assertEqualsWithDelta(
            $both[1]->spraySetup + $both[1]->sprayHand + $both[1]->masking,
            $both[1]->bySpray(),
            1e-9,
        );
    }

    public function test_cuts_take_what_amendments_and_extras_add_least_noticed_a_minute_first_and_never_the_floor(): void
    {
        $standard = Demo::standard();
        $amendments = $this->amendments($standard, [
            ['technique' => 'glaze', 'scope' => ['area' => ['pole']]],
            ['technique' => 'tint_filter', 'scope' => ['area' => ['hood']]],
        ]);
        $request = new PlanRequest(
            $standard,
            $standard->tier('company'),
            Demo::sculpt(),
            Demo::scheme(),
            amendments: $amendments,
            shelf: Demo::shelf(),
        );
        $plan = Demo::planner()->plan($request);
        $boots = $plan->areas[$request->sculpt->place('boots')]->choice;
        self::assertNotNull($boots);
        $tint = $standard->technique('tint_filter');
        $plan = Demo::planner()->withEdits($plan, [
            'boots' => new Choice([
                ...$boots->techniques,
                new ChosenTechnique(
                    $tint,
                    (int) array_search($tint, $standard->techniques, true),
                    Extent::Full,
                    [5.0],
                ),
            ]),
        ]);
        $all = Cutting::to($plan, 0.0);
        $names = array_map(
            fn (Cut $c) => $c->amendment !== null
                ? "amendment {$c->amendment->number}"
                : "{$c->technique?->key} on {$c->area?->key}",
            $all->cuts,
        );
        self::assertEqualsCanonicalizing(['amendment 1', 'amendment 2', 'tint_filter on boots'], $names);
        $last = -1.0;
        foreach ($all->cuts as $cut) {
            self::assertGreaterThan(0.0, $cut->minutes);
            self::assertGreaterThanOrEqual($last, $cut->noticeAMinute());
            $last = $cut->noticeAMinute();
        }
        $floor = Demo::planner()->plan($request->amended([]))->minutesByPasses();
        self::assertFalse($all->isEnough(0.0));
        self::assertNull($all->tier);
        self::assertGreaterThanOrEqual($floor - 3.0, $all->left);
        $one = Cutting::to($plan, $plan->minutesByPasses() - 1.0);
        self::assertCount(1, $one->cuts);
        self::assertTrue($one->isEnough($plan->minutesByPasses() - 1.0));
        $low = Demo::planner()
            ->plan($request->at($standard->tier('muster'))->amended([]))
            ->minutesByPasses();
        self::assertSame('muster', Cutting::to($plan, $low)->tier?->key);
    }

    public function test_a_moved_step_says_which_rules_its_new_place_breaks(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'technique', 'technique' => 'base_coat', 'status' => 'required'],
            [
                'kind' => 'technique',
                'technique' => 'edge_highlight',
                'status' => 'required',
                'scope' => ['area' => ['coat']],
            ],
            ['kind' => 'effect', 'effect' => 'protect'],
        ]);
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('tier'),
                Demo::sculptOf([
                    'skin' => ['layer' => 1, 'touches' => ['coat']],
                    'coat' => ['layer' => 4, 'relief' => ['hard_edges']],
                ]),
            ),
        );
        $places = array_flip(array_map(fn (Step $s) => $s->place()->id, $plan->work->steps));
        $edges = WorkOrder::of($plan->request)->rules($plan->work->steps);
        $edge = $places['coat:edge_highlight'];
        $first = Move::of($plan->work->steps, $edges, $edge, 0);
        self::assertSame('coat:edge_highlight:1', $first->sequence[0]->id);
        $broken = array_map(fn ($b) => "{$b->rule->value}: {$b->earlier->place()->id}", $first->broken);
        self::assertContains('phase: coat:base_coat', $broken);
        $varnish = Move::of($plan->work->steps, $edges, $edge, count($places) - 1);
        self::assertSame(
            ['phase'],
            array_values(array_unique(array_map(fn ($b) => $b->rule->value, $varnish->broken))),
        );
        self::assertSame([], Move::of($plan->work->steps, $edges, $edge, $edge)->broken);
        $skin = Move::of($plan->work->steps, $edges, $places['skin:base_coat'], $places['coat:base_coat']);
        self::assertSame(
            [[Rule::InnerFirst, 'skin:base_coat', 'coat:base_coat']],
            array_map(fn ($b) => [$b->rule, $b->earlier->place()->id, $b->later->place()->id], $skin->broken),
        );
    }

    public function test_two_plans_are_told_apart_area_by_area(): void
    {
        $standard = Demo::standard();
        $plan = fn (string $tier): Plan => Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier($tier), Demo::sculpt(), Demo::scheme(), shelf: Demo::shelf()),
        );
        self::assertSame([], (new PlanComparison($plan('company'), $plan('company')))->differences());
        [$low, $high] = [$plan('company'), $plan('banner')];
        $both = (new PlanComparison($low, $high))->differences();
        self::assertNotSame([], $both);
        foreach ($both as $difference) {
            $key = (string) $difference->area?->key;
            $of = fn (Plan $p): array => array_map(
                fn (ChosenTechnique $u) => "{$u->technique->key} $u->passes {$u->extent->value}",
                ($key === '' ? $p->whole : $p->areas[$p->request->sculpt->place($key)])->choice->techniques ?? [],
            );
            self::assertSame(
                array_values(array_diff($of($low), $of($high))),
                array_map(
                    fn (ChosenTechnique $u) => "{$u->technique->key} $u->passes {$u->extent->value}",
                    $difference->onlyOne,
                ),
                $key,
            );
            self::assertSame(
                array_values(array_diff($of($high), $of($low))),
                array_map(
                    fn (ChosenTechnique $u) => "{$u->technique->key} $u->passes {$u->extent->value}",
                    $difference->onlyOther,
                ),
                $key,
            );
        }
    }

    public function test_one_technique_may_be_practised_and_is_not_given_away(): void
    {
        $standard = Demo::standard();
        $request = new PlanRequest(
            $standard,
            $standard->tier('company'),
            Demo::sculpt(),
            Demo::scheme(),
            shelf: Demo::shelf(),
        );
        $surplus = function (?string $practice) use ($request, $standard): array {
            $plan = Demo::planner()->plan($request->arranged(new Arrangement(practice: $practice)));
            $coat = $plan->areas[0]->choice;
            self::assertNotNull($coat);
            $lining = $standard->technique('tinted_lining');
            $edited = Demo::planner()->withEdits($plan, [
                'coat' => new Choice([
                    ...$coat->techniques,
                    new ChosenTechnique(
                        $lining,
                        (int) array_search($lining, $standard->techniques, true),
                        Extent::Full,
                        [4.0],
                    ),
                ]),
            ]);

            return array_map(
                fn (SurplusStep $s) => [$s->step->technique->key, $s->beyond, $s->practice],
                $edited->surplus,
            );
        };
        self::assertSame([['tinted_lining', true, false]], $surplus(null));
        self::assertSame([['tinted_lining', false, true]], $surplus('tinted_lining'));
        self::assertSame([['tinted_lining', true, false]], $surplus('glaze'));
    }

    public function test_a_step_is_painted_with_the_paint_it_was_given(): void
    {
        $standard = Demo::standard();
        $request = new PlanRequest(
            $standard,
            $standard->tier('company'),
            Demo::sculpt(),
            Demo::scheme(),
            shelf: Demo::shelf(),
        );
        $step = array_values(
            array_filter(
                Demo::planner()->plan($request)->work->steps,
                fn (Step $s) => $s->area?->key === 'hood' && $s->colour !== null,
            ),
        )[0];
        $given = Demo::planner()->plan($request->arranged(new Arrangement(paints: [$step->key()->id => 'Ember'])));
        $painted = array_values(array_filter($given->work->steps, fn (Step $s) => $s->key()->id === $step->key()->id));
        self::assertSame(['Ember', '#c4663a'], [$painted[0]->colour?->paint, $painted[0]->colour?->colour?->hex()]);
    }

    public function test_gold_ends_in_silver_or_in_half_silver_as_the_method_says(): void
    {
        $colours = fn (string $base, array $lights): array => ['base' => $base, 'shades' => [], 'lights' => $lights];
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'areas' => (object) [],
                'slots' => [
                    'gold' => $colours('Quay Brass', ['Bright Brass']),
                    'steel' => $colours('Dull Iron', ['Bright Iron', 'Silver Edge']),
                ],
            ]),
        );
        $standard = Demo::tierOf([
            [
                'kind' => 'technique',
                'technique' => 'edge_highlight',
                'status' => 'required',
                'passes' => 2,
                'scope' => ['area' => ['badge']],
            ],
        ]);
        $last = function (array $areas, array $method) use ($standard, $scheme): array {
            $plan = Demo::planner()->plan(
                new PlanRequest(
                    $standard,
                    $standard->tier('tier'),
                    Demo::sculptOf($areas),
                    $scheme,
                    MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
                    shelf: Demo::shelf(),
                ),
            );
            $edges = array_values(
                array_filter($plan->work->steps, fn (Step $s) => $s->technique->key === 'edge_highlight'),
            );

            return [$edges[1]->colour?->words(), array_map(fn ($w) => $w->kind->value, $plan->warnings)];
        };
        $gold = [
            'badge' => ['material' => 'gold', 'relief' => ['hard_edges'], 'slot' => 'gold'],
            'blade' => ['material' => 'steel', 'relief' => ['hard_edges'], 'slot' => 'steel'],
        ];
        self::assertSame('Bright Brass', $last($gold, [])[0]);
        self::assertSame('Silver Edge', $last($gold, ['gold_light' => 'silver'])[0]);
        self::assertSame('Bright Brass + Silver Edge 1:1', $last($gold, ['gold_light' => 'pale_gold'])[0]);
        // No steel on the figure: the brightest grey metal of the shelf.
        self::assertSame('Silver Edge', $last(['badge' => $gold['badge']], ['gold_light' => 'silver'])[0]);
        // Copper is not gold.
        self::assertSame(
            'Bright Brass',
            $last(['badge' => ['material' => 'copper'] + $gold['badge']], ['gold_light' => 'silver'])[0],
        );
    }

    public function test_half_finished_work_is_raised_with_what_is_there_and_the_rest_in_order(): void
    {
        $standard = Demo::standard();
        $request = fn (string $tier): PlanRequest => new PlanRequest(
            $standard,
            $standard->tier($tier),
            Demo::sculpt(),
            Demo::scheme(),
            shelf: Demo::shelf(),
        );
        $low = Demo::planner()->plan($request('company'));
        $keys = array_map(fn (Step $s) => $s->key(), $low->work->steps);
        $added = [];
        foreach ([0, intdiv(count($keys), 2), count($keys)] as $done) {
            $work = (new Raising($request('banner'), Raising::workSoFar($low, array_slice($keys, 0, $done))))->work();
            self::assertSame([], $work->conflicts());
            $added[] = array_sum(array_map(fn (RaisedArea $a) => $a->minutes(), $work->areas));
            $there = array_flip(array_map(fn (StepKey $k) => $k->id, array_slice($keys, 0, $done)));
            $places = [];
            foreach ($work->work->steps as $i => $step) {
                self::assertArrayNotHasKey($step->key()->id, $there, 'what is added is not what is there');
                self::assertArrayNotHasKey($step->key()->id, $places, 'each added step is named once');
                $places[$step->key()->id] = $i;
            }
            self::assertSame('final_look', $work->work->steps[count($places) - 1]->technique->key);
        }
        $anew = Demo::planner()->plan($request('banner'));
        self::assertEqualsWithDelta(
            array_sum(array_map(fn ($a) => $a->minutes(), $anew->areas)),
            $added[0],
            1e-9,
            'from nothing it is planning',
        );
        self::assertLessThan($added[0], $added[2]);
    }

    /**
     * @param  list<array<string, mixed>>  $list
     * @return list<Amendment>
     */
    private function amendments(Standard $standard, array $list): array
    {
        return AmendmentFormat::read(
            Demo::object(
                array_map(function (array $a): array {
                    $a['scope'] = (object) $a['scope'];

                    return $a + [
                        'level' => 'unit',
                        'do' => 'add',
                        'clause' => null,
                        'values' => (object) [],
                        'reason' => 'Asked for.',
                        'price' => null,
                        'on' => null,
                    ];
                }, $list),
            ),
            array_fill_keys(array_map(fn (Technique $t) => $t->key, $standard->techniques), true),
        );
    }
}
