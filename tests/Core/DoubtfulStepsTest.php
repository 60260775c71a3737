<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\Warning;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Standard;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/** Steps that will hardly be seen, found again from the files themselves. */
final class DoubtfulStepsTest extends TestCase
{
    private const SHADES = ['stain_shade', 'wash_all_over', 'recess_shade', 'stain_over', 'ground_wash'];

    private const FIGURES = [
        'bell-diver',
        'ferry-gun',
        'lantern-provost',
        'mudlark',
        'reedback-toad',
        'sluice-warden',
    ];

    public function test_every_plan_names_exactly_the_steps_that_the_files_make_doubtful(): void
    {
        $standard = Demo::standard();
        $seen = 0;
        foreach (self::FIGURES as $figure) {
            foreach ($standard->tiers as $tier) {
                foreach ([false, true] as $isMurky) {
                    $files = self::files($figure, $isMurky);
                    $plan = Demo::planner()->plan(self::request($standard, $tier->key, $files));
                    $expected = $this->doubtful($plan, ...$files);
                    self::assertSame(
                        $expected,
                        self::named($plan),
                        "$figure at $tier->key".($isMurky ? ', murky' : ''),
                    );
                    $seen += count($expected);
                }
            }
        }
        self::assertGreaterThan(100, $seen, 'the murky ones hold many doubtful steps, or little was compared');
    }

    /** @return iterable<string, array{string, string, bool}> base, shade, whether the shade is doubted */
    public static function shades(): iterable
    {
        // L* of greys by `grey-relations.csv`: #777777 is 50.03, #6a6a6a 44.82. #676767 is 43.60, by the formula at
        // the end.
        yield 'a paint lighter than its base' => ['#777777', '#909090', true];
        yield 'the base itself' => ['#777777', '#777777', true];
        yield '5.2 L* darker' => ['#777777', '#6a6a6a', true];
        yield '6.4 L* darker' => ['#777777', '#676767', false];
        yield 'black' => ['#777777', '#000000', false];
    }

    #[DataProvider('shades')]
    public function test_a_shade_must_be_six_l_star_darker_than_its_base(
        string $base,
        string $shade,
        bool $isDoubted,
    ): void {
        $standard = Demo::tierOf([
            ['kind' => 'steps', 'min' => 0, 'max' => 5],
            ['kind' => 'technique', 'technique' => 'recess_shade', 'status' => 'required'],
        ]);
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'slots' => (object) [],
                'areas' => ['coat' => ['base' => $base, 'shades' => [$shade], 'lights' => []]],
            ]),
        );
        $plan = Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier('tier'), Demo::sculptOf(['coat' => []]), $scheme),
        );
        self::assertContains('coat:recess_shade', array_map(fn (Step $s) => $s->place()->id, $plan->work->steps));
        self::assertSame($isDoubted ? ['coat recess_shade'] : [], self::named($plan));
    }

    /**
     * @return iterable<string, array{array<string, mixed>, string, bool}> what is said of the area, its base, whether
     * the edge highlight is doubted
     */
    public static function dark(): iterable
    {
        yield 'a dark back that nobody looks at' => [['facing' => 'back', 'focus' => 0], '#1b1a1c', true];
        yield 'a dark underside' => [['facing' => 'under', 'focus' => 0], '#1b1a1c', true];
        yield 'a dark back that is looked at' => [['facing' => 'back', 'focus' => 2], '#1b1a1c', false];
        yield 'a dark front' => [['facing' => 'front', 'focus' => 0], '#1b1a1c', false];
        yield 'a light back' => [['facing' => 'back', 'focus' => 0], '#777777', false];
    }

    /** @param  array<string, mixed>  $area */
    #[DataProvider('dark')]
    public function test_light_on_what_is_dark_and_turned_away_is_doubted(
        array $area,
        string $base,
        bool $isDoubted,
    ): void {
        // A viewing distance at which every mark of the catalogue can be noticed, so that only the place speaks.
        $standard = Demo::tierOf(
            [
                ['kind' => 'steps', 'min' => 0, 'max' => 5],
                ['kind' => 'technique', 'technique' => 'edge_highlight', 'status' => 'required'],
            ],
            ['viewing' => ['distance_cm' => 15, 'angle_arcmin' => 1]],
        );
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'slots' => (object) [],
                'areas' => ['coat' => ['base' => $base, 'shades' => [], 'lights' => ['#b0b0b0']]],
            ]),
        );
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('tier'),
                Demo::sculptOf(['coat' => $area + ['relief' => ['hard_edges']]]),
                $scheme,
            ),
        );
        self::assertContains('coat:edge_highlight', array_map(fn (Step $s) => $s->place()->id, $plan->work->steps));
        self::assertSame($isDoubted ? ['coat edge_highlight'] : [], self::named($plan));
    }

    public function test_what_is_doubted_can_be_left_out_and_is_then_not_named_again(): void
    {
        $standard = Demo::standard();
        $left = 0;
        foreach (self::FIGURES as $figure) {
            $plan = Demo::planner()->plan(self::request($standard, 'cabinet', self::files($figure, true)));
            foreach (array_filter($plan->warnings, fn (Warning $w) => $w->kind->value === 'hardly_seen') as $warning) {
                $area = $plan->areas[$plan->request->sculpt->place((string) $warning->area?->key)];
                $kept = array_values(
                    array_filter(
                        $area->choice->techniques ?? [],
                        fn ($u) => $u->technique->key !== $warning->technique?->key,
                    ),
                );
                $without = Demo::planner()->withEdits($plan, [(string) $warning->area?->key => new Choice($kept)]);
                self::assertNotContains("{$warning->area?->key} {$warning->technique?->key}", self::named($without));
                self::assertLessThan($plan->minutesByArea(), $without->minutesByArea());
                $left++;
            }
        }
        self::assertGreaterThan(0, $left);
    }

    /** @return list<string> area and technique of what the plan doubts, sorted */
    private static function named(Plan $plan): array
    {
        $named = array_map(
            fn (Warning $w) => "{$w->area?->key} {$w->technique?->key}",
            array_values(array_filter($plan->warnings, fn (Warning $w) => $w->kind->value === 'hardly_seen')),
        );
        sort($named);

        return $named;
    }

    /**
     * The figure and the scheme of the demo. The murky ones have their first shade for a base and every other area
     * turned away, unlooked at.
     *
     * @return array{array<string, mixed>, array<string, mixed>}
     */
    private static function files(string $figure, bool $isMurky): array
    {
        [$sculpt, $scheme] = array_map(
            fn (string $file): array => json_decode((string) json_encode(Demo::json($file)), true),
            ["sculpts/$figure.json", 'schemes/tidemark.json'],
        );
        if ($isMurky) {
            foreach ($sculpt['areas'] as $i => $area) {
                $sculpt['areas'][$i] = $i % 2 === 0 ? $area : ['facing' => 'back', 'focus' => 0] + $area;
            }
            foreach ($scheme['slots'] as $slot => $colours) {
                $scheme['slots'][$slot]['base'] = $colours['shades'][0] ?? $colours['base'];
            }
        }

        return [$sculpt, $scheme];
    }

    /** @param  array{array<string, mixed>, array<string, mixed>}  $files */
    private static function request(Standard $standard, string $tier, array $files): PlanRequest
    {
        [$sculpt, $scheme] = $files;

        return new PlanRequest(
            $standard,
            $standard->tier($tier),
            SculptFormat::read(Demo::object(self::outlines($sculpt))),
            SchemeFormat::read(
                Demo::object(['areas' => (object) $scheme['areas'], 'slots' => (object) $scheme['slots']] + $scheme),
            ),
            shelf: Demo::shelf(),
        );
    }

    /**
     * @param  array<string, mixed>  $sculpt
     * @return array<string, mixed> with outlines that are objects even where they are empty
     */
    private static function outlines(array $sculpt): array
    {
        $sculpt['areas'] = array_map(
            fn (array $area): array => ['outline' => (object) $area['outline']] + $area,
            $sculpt['areas'],
        );

        return $sculpt;
    }

    /**
     * @param  array<string, mixed>  $sculpt
     * @param  array<string, mixed>  $scheme
     * @return list<string> as `named`, worked out from the steps and the files of the demo, without the core's
     *     colours and sizes
     */
    private function doubtful(Plan $plan, array $sculpt, array $scheme): array
    {
        $paints = array_column(
            array_map(str_getcsv(...), file(Demo::path('shelf.csv'), FILE_IGNORE_NEW_LINES) ?: []),
            2,
            0,
        );
        $areas = array_column($sculpt['areas'], null, 'key');
        $viewing = $plan->request->tier->viewing;
        $smallest = 2 * $viewing->distanceCm * 10 * tan((($viewing->angleArcmin / 60) * M_PI) / 180 / 2);
        $found = [];
        foreach ($plan->work->steps as $step) {
            $area = $areas[$step->area->key ?? ''] ?? null;
            if ($area === null) {
                continue;
            }
            $colours = $scheme['areas'][$area['key']] ?? ($scheme['slots'][$area['slot'] ?? ''] ?? null);
            $base = $colours === null ? null : self::lightness($paints[$colours['base']] ?? $colours['base']);
            $mark = $step->technique->markMm;
            $shade =
                in_array($step->technique->key, self::SHADES, true) && $step->colour?->colour !== null
                    ? self::lightness($step->colour->colour->hex())
                    : null;
            $lights =
                array_intersect(array_map(strval(...), array_keys($step->technique->effects)), [
                    'highlight_edge',
                    'highlight_spot',
                    'blend',
                    'tint',
                ]) !== [];
            if (
                ($mark !== null && $mark < $smallest) ||
                ($shade !== null && $base !== null && $base - $shade < 6) ||
                ($lights &&
                    $base !== null &&
                    $base < 22 &&
                    $area['focus'] === 0 &&
                    in_array($area['facing'], ['back', 'under'], true))
            ) {
                $found["{$area['key']} {$step->technique->key}"] = true;
            }
        }
        ksort($found, SORT_STRING);

        return array_keys($found);
    }

    /** L* of an sRGB colour: IEC 61966-2-1 to linear light, Y by its second row, CIE 15 with the exact constants. */
    private static function lightness(string $hex): float
    {
        $y = 0.0;
        foreach ([0.2126390058715, 0.7151686787677, 0.0721923153607] as $i => $weight) {
            $c = hexdec(substr($hex, 1 + 2 * $i, 2)) / 255;
            $y += $weight * ($c <= 0.04045 ? $c / 12.92 : (($c + 0.055) / 1.055) ** 2.4);
        }

        return $y > 216 / 24389 ? 116 * $y ** (1 / 3) - 16 : ($y * 24389) / 27;
    }
}
