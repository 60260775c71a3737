<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Colour\SlotCheck;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Sculpt\MapCheck;
use Ordotype\Core\Sculpt\MapFinding;
use Ordotype\Core\Sculpt\OutlinedSurface;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Words\MapWords;
use Ordotype\Core\Words\SchemeWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Demo;

/** Maps of figures: what the outlines show, and what is odd about them; and the slots of a scheme. */
final class SculptMapTest extends TestCase
{
    public function test_what_is_seen_of_an_area_is_its_rings_without_what_lies_over_them(): void
    {
        // 60 by 80 mm: a coat of 30 by 40 mm, and over its corner a bag of 12 by 8 mm that hangs out by half.
        $surface = new OutlinedSurface(
            Demo::sculptOf([
                'coat' => ['layer' => 1, 'outline' => ['front' => [self::box(0.25, 0.25, 0.75, 0.75)]]],
                'bag' => ['layer' => 2, 'outline' => ['front' => [self::box(0.65, 0.5, 0.85, 0.6)]]],
                'boots' => [
                    'layer' => 1,
                    'outline' => [
                        'front' => [self::box(0.3, 0.8, 0.4, 0.85), self::box(0.6, 0.8, 0.7, 0.85)],
                        'back' => [self::box(0.6, 0.8, 0.7, 0.85)],
                    ],
                ],
                'hidden' => ['layer' => 0, 'outline' => ['front' => [self::box(0.3, 0.3, 0.4, 0.4)]]],
            ]),
        );
        self::assertEqualsWithDelta(1200 - 48, $surface->mm2('coat', 'front'), 0.5);
        self::assertEqualsWithDelta(96, $surface->mm2('bag', 'front'), 0.5);
        self::assertEqualsWithDelta(48, $surface->mm2('boots', 'front'), 0.5, 'two boots are two rings');
        self::assertEqualsWithDelta(24, $surface->mm2('boots', 'back'), 0.5);
        self::assertSame(0.0, $surface->mm2('hidden', 'front'));
        self::assertEqualsWithDelta(48, $surface->common('coat', 'bag', 'front'), 0.5);
    }

    public function test_what_is_counted_is_counted_when_a_map_is_kept_and_read_as_it_was_from_records(): void
    {
        $map = Demo::json('sculpts/sluice-warden.json');
        self::assertInstanceOf(stdClass::class, $map);
        $eyes = array_search('eyes', array_column($map->areas, 'key'), true);
        $map->areas[$eyes]->count = 0;
        self::assertSame(0, SculptFormat::read($map)->area('eyes')->count);
        try {
            SculptFormat::readAnew($map);
            self::fail('Eyes that are none were taken.');
        } catch (FormatException $e) {
            self::assertSame(["/areas/$eyes/count"], array_column($e->problems, 'path'));
            self::assertStringContainsString('Eyes', $e->problems[0]->reason);
        }
    }

    public function test_a_disc_and_a_triangle_have_the_surface_of_geometry(): void
    {
        $disc = array_map(
            fn (int $i) => [0.5 + 0.25 * cos(($i * M_PI) / 60), 0.5 + 0.1875 * sin(($i * M_PI) / 60)],
            range(0, 119),
        );
        $surface = new OutlinedSurface(
            Demo::sculptOf([
                'disc' => ['outline' => ['front' => [$disc]]],
                'flag' => ['outline' => ['back' => [[[0, 0], [1, 0], [0, 1]]]]],
            ]),
        );
        self::assertEqualsWithDelta(M_PI * 15 ** 2, $surface->mm2('disc', 'front'), 1.5);
        self::assertEqualsWithDelta((60 * 80) / 2, $surface->mm2('flag', 'back'), 12.0);
    }

    public function test_shares_follow_the_outlines_and_areas_without_keep_theirs(): void
    {
        $shares = (new OutlinedSurface(
            Demo::sculptOf([
                'coat' => ['share_pct' => 10, 'outline' => ['front' => [self::box(0, 0, 0.6, 0.5)]]],
                'cape' => ['share_pct' => 65, 'outline' => ['back' => [self::box(0, 0, 0.2, 0.5)]]],
                'soles' => ['share_pct' => 25],
            ]),
        ))->shares();
        self::assertEqualsWithDelta(['coat' => 56.25, 'cape' => 18.75, 'soles' => 25.0], $shares, 0.06);
        self::assertEqualsWithDelta(100.0, array_sum($shares), 1e-9);
        foreach (['sluice-warden', 'bell-diver', 'ferry-gun'] as $figure) {
            self::assertEqualsWithDelta(
                100.0,
                array_sum((new OutlinedSurface(Demo::sculpt($figure)))->shares()),
                1e-6,
                $figure,
            );
        }
    }

    /** @return iterable<string, array{array<string, array<string, mixed>>, list<string>}> */
    public static function oddMaps(): iterable
    {
        $coat = ['layer' => 1, 'share_pct' => 60, 'outline' => ['front' => [self::box(0.2, 0.2, 0.8, 0.8)]]];
        $bag = [
            'layer' => 2,
            'share_pct' => 40,
            'outline' => ['front' => [self::box(0.5, 0.5, 0.95, 0.95)]],
            'touches' => ['coat'],
        ];
        yield 'a sound map' => [['coat' => $coat, 'bag' => $bag], []];
        yield 'a quick sculpt' => [['coat' => ['outline' => (object) []], 'bag' => []], ['no_outlines ']];
        yield 'an area without outline' => [
            ['coat' => $coat, 'bag' => ['outline' => (object) []] + $bag],
            ['not_outlined bag'],
        ];
        yield 'one that crosses itself' => [
            [
                'coat' => ['outline' => ['front' => [[[0.2, 0.2], [0.8, 0.8], [0.8, 0.2], [0.2, 0.8]]]]] + $coat,
                'bag' => $bag,
            ],
            ['crosses_itself coat'],
        ];
        yield 'two on one layer' => [['coat' => $coat, 'bag' => ['layer' => 1] + $bag], ['same_layer coat']];
        yield 'covered' => [
            ['coat' => ['outline' => ['front' => [self::box(0.5, 0.5, 0.9, 0.9)]]] + $coat, 'bag' => $bag],
            ['hidden coat', 'not said'],
        ];
        yield 'touching unsaid' => [['coat' => $coat, 'bag' => ['touches' => []] + $bag], ['touches_unsaid coat']];
        yield 'said to touch, far apart' => [
            ['coat' => $coat, 'bag' => ['outline' => ['front' => [self::box(0.9, 0.9, 1, 1)]]] + $bag],
            ['share bag', 'touches_apart coat'],
        ];
        yield 'a share that cannot be' => [
            ['coat' => ['share_pct' => 4] + $coat, 'bag' => ['share_pct' => 96] + $bag],
            ['share coat'],
        ];
        yield 'the wrong side' => [['coat' => ['facing' => 'back'] + $coat, 'bag' => $bag], ['facing coat']];
        yield 'a gem apart from its ring' => [
            [
                'coat' => $coat,
                'bag' => $bag,
                'gem' => [
                    'share_pct' => 3,
                    'layer' => 4,
                    'rank' => 'detail',
                    'surround' => 'bag',
                    'outline' => ['front' => [self::box(0.05, 0.05, 0.1, 0.1)]],
                ],
            ],
            ['share gem', 'surround_apart gem'],
        ];
        yield 'no main area' => [
            ['coat' => ['rank' => 'secondary'] + $coat, 'bag' => ['rank' => 'secondary'] + $bag],
            ['no_main '],
        ];
        yield 'a large detail' => [['coat' => $coat, 'bag' => ['rank' => 'detail'] + $bag], ['large_detail bag']];
    }

    /**
     * @param  array<string, array<string, mixed>>  $areas
     * @param  list<string>  $expected
     */
    #[DataProvider('oddMaps')]
    public function test_what_is_odd_is_found_and_nothing_else(array $areas, array $expected): void
    {
        $share = array_sum(array_column($areas, 'share_pct'));
        foreach ($areas as $key => $area) {
            if (isset($area['share_pct'])) {
                $areas[$key]['share_pct'] = (100 * $area['share_pct']) / $share;
            }
        }
        $found = array_map(
            fn (MapFinding $f) => $f->kind->value.' '.$f->area?->key,
            (new MapCheck(Demo::sculptOf($areas)))->findings(),
        );
        // Where something is covered wholly, its share cannot agree either.
        self::assertSame(
            array_values(array_filter($expected, fn (string $e) => $e !== 'not said')),
            array_values(
                array_filter(
                    $found,
                    fn (string $f) => ! in_array('not said', $expected, true) || ! str_starts_with($f, 'share'),
                ),
            ),
        );
    }

    public function test_the_demo_figures_have_nothing_wrong_on_their_maps(): void
    {
        foreach (
            ['sluice-warden', 'lantern-provost', 'mudlark', 'bell-diver', 'reedback-toad', 'ferry-gun'] as $figure
        ) {
            $wrong = array_filter(
                (new MapCheck(Demo::sculpt($figure)))->findings(),
                fn (MapFinding $f) => ! in_array($f->kind->value, ['touches_unsaid', 'share'], true),
            );
            self::assertSame([], array_map(MapWords::of(...), $wrong), $figure);
        }
    }

    public function test_a_piece_that_lacks_areas_keeps_the_surface_of_the_rest(): void
    {
        $whole = Demo::sculpt();
        $piece = $whole->without(['hook', 'pole']);
        self::assertInstanceOf(Sculpt::class, $piece);
        self::assertFalse($piece->has('hook'));
        foreach ($piece->areas as $area) {
            self::assertEqualsWithDelta(
                $whole->areaCm2($whole->area($area->key)),
                $piece->areaCm2($area),
                1e-9,
                $area->key,
            );
            self::assertNotContains('hook', $area->touches);
        }
    }

    public function test_slots_are_listed_over_all_figures_with_their_steps_in_lightness(): void
    {
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'areas' => (object) ['badge' => ['base' => '#808080', 'shades' => [], 'lights' => []]],
                'slots' => [
                    'coat' => [
                        'base' => '#777777',
                        'shades' => ['#303030'],
                        'lights' => ['#b0b0b0', '#b3b3b3', '#a0a0a0'],
                    ],
                    'spare' => ['base' => 'No Such Paint', 'shades' => ['#444444'], 'lights' => []],
                ],
            ]),
        );
        $figures = [
            Demo::sculptOf(['body' => ['slot' => 'coat'], 'badge' => ['slot' => 'coat']]),
            Demo::sculptOf(['hood' => ['slot' => 'coat'], 'boots' => ['slot' => 'leather']]),
        ];
        $slots = SlotCheck::all($scheme, $figures, Demo::shelf());
        self::assertSame(['coat', 'spare', 'leather'], array_map(fn (SlotCheck $s) => $s->slot, $slots));
        self::assertSame(
            ['body', 'hood'],
            array_map(fn (array $p) => $p[1]->key, $slots[0]->places),
            'an area’s own entry beats its slot',
        );
        // L* = 116 Y^(1/3) - 16 of these greys (IEC 61966-2-1, CIE 15), worked out apart: #777777 50.03, #303030
        // 19.87, #b0b0b0 71.84, #b3b3b3 72.95, #a0a0a0 65.87.
        self::assertEqualsWithDelta([-30.2, 21.8, 1.1, -7.1], $slots[0]->steps, 0.15);
        self::assertSame(
            [
                'The light #b3b3b3 is hardly lighter than #b0b0b0: the difference is not seen on the table.',
                'The light #a0a0a0 is not lighter than #b3b3b3 before it.',
            ],
            array_map(SchemeWords::problem(...), $slots[0]->problems),
        );
        self::assertSame(
            ['No Such Paint is not on the shelf.'],
            array_map(SchemeWords::problem(...), $slots[1]->problems),
        );
        self::assertSame(
            ['The scheme has no colours for this yet.'],
            array_map(SchemeWords::problem(...), $slots[2]->problems),
        );
    }

    /** @return list<array{float, float}> */
    private static function box(float $left, float $top, float $right, float $bottom): array
    {
        return [[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]];
    }
}
