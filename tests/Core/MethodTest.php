<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\Warning;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\WarningWords;
use PHPUnit\Framework\TestCase;
use Tests\Support\Asked;
use Tests\Support\Demo;

/** What the schools change in a plan. */
final class MethodTest extends TestCase
{
    public function test_building_down_from_stains_takes_them_where_they_are_allowed_and_suit(): void
    {
        $figure = Demo::sculptOf([
            'coat' => ['relief' => ['soft_folds']],
            'blade' => ['material' => 'steel', 'relief' => ['hard_edges']],
        ]);
        $standard = Demo::tierOf([['kind' => 'effect', 'effect' => 'shade', 'scope' => ['material' => ['cloth']]]]);
        $bases = fn (Plan $plan) => array_map(
            fn ($a) => array_values(
                array_filter(
                    array_map(
                        fn ($t) => $t->technique->givesAny(\Ordotype\Core\Standard\Effect::BaseColour)
                            ? $t->technique->key
                            : null,
                        $a->choice->techniques ?? [],
                    ),
                ),
            )[0] ?? null,
            $plan->areas,
        );
        self::assertNotSame('stain_coat', $bases(self::plan($standard, $figure, ['build' => 'from_mid']))[0]);
        $down = $bases(self::plan($standard, $figure, ['build' => 'stain_down']));
        self::assertContains($down[0], ['stain_coat', 'stain_fade']);
        self::assertNotContains($down[1], ['stain_coat', 'stain_fade'], 'no stain goes on steel');
        // Not where the tier does not offer them.
        $none = Demo::tierOf([
            ['kind' => 'technique', 'technique' => 'stain_coat', 'status' => 'not_offered'],
            ['kind' => 'technique', 'technique' => 'stain_fade', 'status' => 'not_offered'],
        ]);
        self::assertNotContains($bases(self::plan($none, $figure, ['build' => 'stain_down']))[0], [
            'stain_coat',
            'stain_fade',
        ]);
    }

    public function test_simpler_backs_ask_one_extent_and_one_pass_less_and_drop_a_spot(): void
    {
        $figure = Demo::sculptOf([
            'cloak' => ['facing' => 'back', 'relief' => ['hard_edges']],
            'coat' => ['facing' => 'front', 'relief' => ['hard_edges']],
        ]);
        $standard = Demo::tierOf([
            [
                'kind' => 'effect',
                'effect' => 'highlight_edge',
                'extent' => 'full',
                'passes' => 2,
                'by' => ['edge_highlight'],
            ],
            ['kind' => 'effect', 'effect' => 'highlight_spot', 'extent' => 'spot'],
            ['kind' => 'technique', 'technique' => 'dark_lining', 'status' => 'required'],
        ]);
        $same = self::plan($standard, $figure, ['backs' => 'same']);
        $simpler = self::plan($standard, $figure, ['backs' => 'simpler']);
        self::assertSame($same->areas[1]->choice?->minutes, $simpler->areas[1]->choice?->minutes, 'the front stays');
        self::assertLessThan($same->areas[0]->choice?->minutes, $simpler->areas[0]->choice?->minutes);
        $asked = [];
        foreach ($simpler->areas[0]->demand->requirements as $i => $of) {
            $r = Asked::of($of);
            $asked[$of->subject()] = $r->extent->word()." $r->passes";
        }
        self::assertSame(['highlight_edge' => 'prominent 1', 'dark_lining' => 'full 1'], $asked);
        self::assertContains('method.backs', Asked::of($simpler->areas[0]->demand->requirements[0])->clauses);
    }

    public function test_what_only_the_method_forbids_is_left_out_and_named_short_with_the_school_as_the_reason(): void
    {
        $figure = Demo::sculptOf(['face' => ['material' => 'skin', 'relief' => ['organic']]]);
        $standard = Demo::tierOf([
            ['kind' => 'technique', 'technique' => 'wash_all_over', 'status' => 'required'],
            ['kind' => 'effect', 'effect' => 'highlight_raised', 'extent' => 'prominent'],
        ]);
        self::assertSame(
            [],
            array_filter(self::plan($standard, $figure, [])->requirements, fn ($s) => $s->state === Standing::Short),
        );
        $plan = self::plan($standard, $figure, ['skin_wash' => 'none', 'edges' => 'focal']);
        self::assertSame([], $plan->conflicts());
        $short = array_values(array_filter($plan->requirements, fn ($s) => $s->state === Standing::Short));
        self::assertSame(
            [['wash_all_over', 'method.skin_wash']],
            array_map(fn ($s) => [$s->requirement->subject(), 'method.'.$s->school?->value], $short),
        );
        self::assertContains('met', array_map(fn ($s) => $s->state?->value, $plan->requirements), 'the rest is met');
        // What cannot be met without the method either stays a conflict.
        $wrong = Demo::tierOf([
            ['kind' => 'steps', 'min' => 0, 'max' => 1],
            ['kind' => 'technique', 'technique' => 'layer', 'status' => 'required', 'passes' => 3],
        ]);
        self::assertNotSame([], self::plan($wrong, $figure, ['skin_wash' => 'none'])->conflicts());
    }

    public function test_steps_that_will_hardly_be_seen_are_named(): void
    {
        $standard = Demo::standard();
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('cabinet'),
                Demo::sculpt(),
                Demo::scheme(),
                shelf: Demo::shelf(),
            ),
        );
        foreach (array_filter($plan->warnings, fn (Warning $w) => $w->kind->value === 'hardly_seen') as $warning) {
            self::assertNotNull($warning->area);
            self::assertStringContainsString('will hardly be seen', (new WarningWords($plan->request))->of($warning));
        }
        $fine = Demo::tierOf([
            [
                'kind' => 'technique',
                'technique' => 'freehand',
                'status' => 'required',
                'scope' => ['area' => ['panel']],
            ],
        ]);
        $document = \Ordotype\Core\Format\StandardFormat::write($fine);
        foreach ($document->techniques as $technique) {
            if ($technique->key === 'freehand') {
                $technique->mark_mm = 0.05;
            }
        }
        $tiny = self::plan(
            \Ordotype\Core\Format\StandardFormat::read($document),
            Demo::sculptOf(['panel' => ['relief' => ['open_panel']]]),
            [],
        );
        self::assertContains('hardly_seen', array_map(fn (Warning $w) => $w->kind->value, $tiny->warnings));
    }

    /** @param  array<string, string>  $answers */
    private static function plan(Standard $standard, \Ordotype\Core\Sculpt\Sculpt $figure, array $answers): Plan
    {
        $method =
            $answers === []
                ? new Method()
                : MethodFormat::read(Demo::object(['format' => 'ordotype/method@1'] + $answers));

        return Demo::planner()->plan(new PlanRequest($standard, $standard->tier('tier'), $figure, null, $method));
    }
}
