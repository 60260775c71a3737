<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Colour\Mix;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\ClauseWords;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/** Colours of steps, sprayed colours, and how edited work stands to the tier. */
final class PlanReportTest extends TestCase
{
    private const GREYS = ['#303030', '#505050', '#909090', '#b0b0b0'];

    public function test_fewer_light_passes_than_lights_end_on_the_last(): void
    {
        self::assertSame(['#b0b0b0'], $this->lights(1));
        self::assertSame(['#909090', '#b0b0b0'], $this->lights(2), 'the ⌈i·3/2⌉-th');
        self::assertSame(['#505050', '#909090', '#b0b0b0'], $this->lights(3));
    }

    public function test_more_light_passes_split_the_largest_gap_once_and_then_repeat(): void
    {
        self::assertSame(['#505050', '#505050 + #909090 1:1', '#909090', '#b0b0b0'], $this->lights(4));
        self::assertSame(
            ['#505050', '#505050 + #909090 1:1', '#909090', '#b0b0b0', '#505050', '#909090', '#b0b0b0'],
            $this->lights(7),
            'four layers and three edges share the tones: each technique counts its own passes',
        );
        $plan = null;
        self::assertSame(
            ['#303030 + #909090 1:1', '#909090', '#909090', '#909090'],
            $this->lights(4, $plan, ['#909090']),
        );
        self::assertContains('light_repeated', array_map(fn ($w) => $w->kind->value, $plan->warnings));
    }

    public function test_lights_that_are_not_lighter_or_not_seen_are_named(): void
    {
        $warned = function (array $lights): array {
            $plan = null;
            $this->lights(2, $plan, $lights);

            return array_map(fn ($w) => $w->kind->value, $plan->warnings);
        };
        self::assertSame([], $warned(['#505050', '#909090']));
        self::assertSame(['light_not_lighter'], $warned(['#505050', '#404040']));
        // #333333 is 1.2 L* above #303030.
        self::assertSame(['light_not_seen'], $warned(['#333333', '#909090']));
    }

    public function test_a_mix_lies_between_its_paints_and_mixing_a_paint_with_itself_changes_nothing(): void
    {
        $mix = Mix::oneToOne(Srgb::fromHex('#303030'), Srgb::fromHex('#d0d0d0'))->lab()->l;
        self::assertGreaterThan(Srgb::fromHex('#303030')->lab()->l, $mix);
        self::assertLessThan(Srgb::fromHex('#d0d0d0')->lab()->l, $mix);
        foreach (['#47796b', '#f0c84a', '#1b1a1c'] as $hex) {
            self::assertSame($hex, Mix::oneToOne(Srgb::fromHex($hex), Srgb::fromHex($hex))->hex());
        }
    }

    public function test_the_first_colours_are_sprayed_and_further_ones_only_where_that_saves_time(): void
    {
        $sculpt = Demo::sculptOf([
            'coat' => ['share_pct' => 45, 'touches' => ['hood'], 'slot' => 'green'],
            'hood' => ['share_pct' => 15, 'slot' => 'red'],
            'cape' => ['share_pct' => 40, 'slot' => 'blue', 'touches' => ['coat']],
        ]);
        $colours = fn (string $hex): array => ['base' => $hex, 'shades' => [], 'lights' => []];
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'areas' => (object) [],
                'slots' => [
                    'green' => $colours('#2f5a50'),
                    'red' => $colours('#7a2f2a'),
                    'blue' => $colours('#2d3653'),
                ],
            ]),
        );
        $sprayed = function (int $min, int $max, int $pieces) use ($sculpt, $scheme): array {
            $standard = Demo::tierOf(
                [['kind' => 'sprayed_colours', 'min' => $min, 'max' => $max]],
                ['pace' => 'even'],
            );
            $plan = Demo::planner()->plan(
                new PlanRequest($standard, $standard->tier('tier'), $sculpt, $scheme, pieces: $pieces),
            );
            self::assertSame([], $plan->work->cycles);

            return array_map(fn ($c) => [$c->areas[0]->key, array_map(fn ($a) => $a->key, $c->masked)], $plan->sprayed);
        };
        self::assertSame([], $sprayed(0, 0, 1));
        self::assertSame([['coat', []]], $sprayed(1, 1, 1));
        self::assertSame(
            [['coat', []], ['cape', ['coat']]],
            $sprayed(2, 2, 1),
            'by main share; the coat is masked for the cape',
        );
        // One coat by brush on 16 cm² takes 5.1 minutes and spraying it 1.7, but masking the coat 10.8: not worth it.
        self::assertSame([['coat', []]], $sprayed(1, 3, 50));
        $standard = Demo::tierOf([['kind' => 'sprayed_colours', 'min' => 2, 'max' => 2]]);
        $steps = Demo::planner()->plan(new PlanRequest($standard, $standard->tier('tier'), $sculpt, $scheme))->work
            ->steps;
        $order = array_map(fn ($s) => $s->technique->key.' '.($s->area->key ?? '*'), $steps);
        self::assertSame(1, array_search('masking *', $order, true) - array_search('spray_base coat', $order, true));
        self::assertSame(1, array_search('spray_base cape', $order, true) - array_search('masking *', $order, true));
    }

    public function test_the_final_look_takes_its_share_by_pace_and_size_or_what_the_tier_says(): void
    {
        $look = ['kind' => 'effect', 'effect' => 'check'];
        $said = ['kind' => 'technique', 'technique' => 'final_look', 'status' => 'allowed', 'minutes' => 1.5];
        $minutes = function (array $clauses, string $pace, string $size): float {
            $standard = Demo::tierOf($clauses, ['pace' => $pace]);
            $figure = Demo::sculptOf(['coat' => []], ['size' => $size]);
            $plan = Demo::planner()->plan(new PlanRequest($standard, $standard->tier('tier'), $figure));

            return $plan->whole->choice?->techniques[0]->minutes() ?? -1.0;
        };
        // The catalogue's five minutes a model × 0.4, 0.7, 1 by pace × 0.6 to 2 by size.
        self::assertEqualsWithDelta(5 * 0.4 * 0.6, $minutes([$look], 'fast', 'small'), 1e-9);
        self::assertEqualsWithDelta(5 * 0.7, $minutes([$look], 'even', 'infantry'), 1e-9);
        self::assertEqualsWithDelta(5 * 2.0, $minutes([$look], 'finest', 'monster'), 1e-9);
        self::assertEqualsWithDelta(1.5, $minutes([$look, $said], 'finest', 'monster'), 1e-9);
        // The last clause that says so decides, and one that says nothing changes nothing.
        $more = ['minutes' => 4] + $said;
        $silent = ['kind' => 'technique', 'technique' => 'final_look', 'status' => 'required'];
        self::assertEqualsWithDelta(4.0, $minutes([$look, $said, $more, $silent], 'finest', 'monster'), 1e-9);
        $standard = Demo::tierOf([$said]);
        self::assertSame('final look allowed, 1.5 min a model', (new ClauseWords($standard))->text($standard->tiers[0]->clauses[0])->sentence);
        $this->expectExceptionMessage('can be said of the final look alone');
        Demo::tierOf([['technique' => 'glaze'] + $said]);
    }

    public function test_taking_a_step_out_by_hand_is_reported_short_and_adding_one_as_beyond_or_spare(): void
    {
        $standard = Demo::standard();
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('company'),
                Demo::sculpt(),
                Demo::scheme(),
                shelf: Demo::shelf(),
            ),
        );
        self::assertSame([], $plan->surplus, 'a computed plan has nothing to spare');

        $coat = $plan->areas[0]->choice;
        self::assertNotNull($coat);
        $without = Demo::planner()->withEdits($plan, [
            'coat' => new Choice(
                array_values(array_filter($coat->techniques, fn ($t) => $t->technique->key !== 'wash_all_over')),
            ),
        ]);
        $short = array_values(
            array_filter($without->requirements, fn (RequirementState $s) => $s->state === Standing::Short),
        );
        self::assertSame(
            ['coat shade by 1'],
            array_map(
                fn ($s) => "{$s->requirement->area} {$s->requirement->subject()} by $s->by",
                array_filter($short, fn ($s) => $s->requirement->subject() === 'shade'),
            ),
        );

        $more = fn (string $technique, int $passes): Plan => Demo::planner()->withEdits($plan, [
            'coat' => new Choice([...$coat->techniques, self::use($standard, $technique, $passes)]),
        ]);
        self::assertSame(
            [['glaze', true]],
            array_map(fn ($s) => [$s->step->technique->key, $s->beyond], $more('glaze', 1)->surplus),
            'credits pass the ceiling of three',
        );
        self::assertSame(
            [['tinted_lining', true]],
            array_map(fn ($s) => [$s->step->technique->key, $s->beyond], $more('tinted_lining', 1)->surplus),
            'Company does not offer it',
        );
        self::assertSame(
            [['tint_filter', false]],
            array_map(fn ($s) => [$s->step->technique->key, $s->beyond], $more('tint_filter', 1)->surplus),
        );
        $over = array_filter(
            $more('layer', 2)->requirements,
            fn (RequirementState $s) => $s->state === Standing::Over,
        );
        self::assertSame([2.0], array_values(array_map(fn ($s) => $s->by, $over)));
    }

    public function test_minutes_beyond_the_ceiling_are_over(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'minutes', 'size' => ['infantry'], 'max' => 1],
            ['kind' => 'minutes', 'size' => ['large'], 'max' => 0],
        ]);
        $plan = Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier('tier'), Demo::sculptOf(['coat' => []])),
        );
        $state = $plan->requirements[0];
        self::assertSame(['minutes', Standing::Over], [$state->requirement->subject(), $state->state]);
        self::assertEqualsWithDelta($plan->minutesByPasses() - 1, $state->by, 1e-9);
    }

    /**
     * @param  list<string>|null  $colours
     *
     * @param-out Plan $plan
     *
     * @return list<string> the colours of m layer and edge passes on an area of four greys
     */
    private function lights(int $m, ?Plan &$plan = null, ?array $colours = null): array
    {
        $layers = min(4, $m);
        $clauses = [['kind' => 'technique', 'technique' => 'layer', 'status' => 'required', 'passes' => $layers]];
        if ($m > 4) {
            $clauses[] = [
                'kind' => 'technique',
                'technique' => 'edge_highlight',
                'status' => 'required',
                'passes' => $m - 4,
            ];
        }
        $standard = Demo::tierOf($clauses);
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'Greys',
                'slots' => (object) [],
                'areas' => [
                    'coat' => [
                        'base' => self::GREYS[0],
                        'shades' => [],
                        'lights' => $colours ?? array_slice(self::GREYS, 1),
                    ],
                ],
            ]),
        );
        $plan = Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier('tier'), Demo::sculptOf(['coat' => []]), $scheme),
        );

        return array_values(
            array_map(
                fn ($s) => (string) $s->colour?->words(),
                array_filter(
                    $plan->work->steps,
                    fn ($s) => in_array($s->technique->key, ['layer', 'edge_highlight'], true),
                ),
            ),
        );
    }

    private static function use(Standard $standard, string $key, int $passes): ChosenTechnique
    {
        $technique = $standard->technique($key);

        return new ChosenTechnique(
            $technique,
            (int) array_search($technique, $standard->techniques, true),
            Extent::Full,
            array_fill(0, max(1, $passes), 2.0),
        );
    }
}
