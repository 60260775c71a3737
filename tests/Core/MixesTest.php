<?php

declare(strict_types=1);

namespace Tests\Core;

use InvalidArgumentException;
use Ordotype\Core\Colour\Hiding;
use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\ShelfFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Unit\PaintNeed;
use Ordotype\Core\Planning\Unit\PaintNeeds;
use Ordotype\Core\Planning\Unit\PieceNeeds;
use Ordotype\Core\Planning\Unit\UnitPlan;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/** Paints mixed in parts, thinned with medium, on their way from a scheme to the bench. */
final class MixesTest extends TestCase
{
    public function test_mixes_are_equal_when_their_reduced_parts_are(): void
    {
        self::assertEquals(new Pot(['Brass' => 3, 'Ink' => 5]), new Pot(['Brass' => 6, 'Ink' => 10]));
        self::assertEquals(new Pot(['Stain' => 1], 2), new Pot(['Stain' => 3], 6));
        self::assertNotEquals(new Pot(['Stain' => 2], 3), new Pot(['Stain' => 1], 2));
        self::assertEquals(Pot::of('Ink'), new Pot(['Ink' => 7]), 'a paint by itself, however much of it');
        self::assertSame('Ink', (new Pot(['Ink' => 7]))->plain());
        self::assertNull((new Pot(['Ink' => 1], 1))->plain());
        // As much of a 3:5 mix as of a third paint.
        self::assertEquals(
            new Pot(['Brass' => 3, 'Ink' => 5, 'White' => 8]),
            Pot::oneToOne(new Pot(['Brass' => 3, 'Ink' => 5]), Pot::of('White')),
        );
        $this->expectException(InvalidArgumentException::class);
        new Pot(['Ink' => 0]);
    }

    public function test_the_forecast_weighs_parts_by_kubelka_munk_and_the_weakest_paint_decides_how_it_hides(): void
    {
        $shelf = self::shelf();
        // K/S = (1 − R)² / 2R; 3 parts of R 0.5 (0.25) and 5 of R 0.1 (4.05): q = 2.625, R = 1 + q − √(q² + 2q).
        $expected = 1 + 2.625 - sqrt(2.625 ** 2 + 2 * 2.625);
        $linear = $shelf->colourOf(new Pot(['Half' => 3, 'Tenth' => 5]))?->linear() ?? [];
        foreach ($linear as $channel) {
            // The shelf holds colours as hex, in steps of 1/255.
            self::assertEqualsWithDelta($expected, $channel, 0.004);
        }
        self::assertCount(3, $linear);
        self::assertEquals(
            $shelf->colourOf(new Pot(['Half' => 3, 'Tenth' => 5])),
            $shelf->colourOf(new Pot(['Half' => 3, 'Tenth' => 5], 9)),
            'medium is not a colour',
        );
        self::assertNull($shelf->colourOf(new Pot(['Half' => 1, 'Nobody' => 1])));
        self::assertSame(Hiding::Low, $shelf->hidingOf(new Pot(['Half' => 5, 'Tenth' => 1])));
        self::assertSame(Hiding::High, $shelf->hidingOf(Pot::of('Half')));
        self::assertSame(Hiding::Medium, $shelf->hidingOf(new Pot(['Half' => 1, 'Nobody' => 1])));
    }

    public function test_a_scheme_with_mixes_is_given_back_as_it_was_read_and_says_what_is_wrong_with_one(): void
    {
        $scheme = Demo::object([
            'format' => SchemeFormat::WORD,
            'name' => 'Mixed',
            'slots' => (object) [],
            'areas' => [
                'coat' => [
                    'base' => ['parts' => [['Half', 3], ['Tenth', 5]]],
                    'shades' => [['parts' => [['Tenth', 1]], 'medium' => 3]],
                    'lights' => ['#f0f0f0'],
                ],
            ],
        ]);
        self::assertSame(CanonicalJson::encode($scheme), CanonicalJson::encode(SchemeFormat::write(SchemeFormat::read($scheme))));
        $scheme->areas->coat->base = Demo::object(['parts' => [['Half', 0], ['Half', 1.5], ['', 2]], 'medium' => -1]);
        try {
            SchemeFormat::read($scheme);
            self::fail('it was taken');
        } catch (FormatException $e) {
            $where = array_map(fn ($p) => $p->path, $e->problems);
            foreach (['parts/0/1', 'parts/1', 'parts/1/1', 'parts/2/0', 'medium'] as $part) {
                self::assertContains("/areas/coat/base/$part", $where);
            }
        }
    }

    public function test_plans_paint_from_the_mix_and_the_method_begins_metal_and_thins_stain_on_skin(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'technique', 'technique' => 'base_coat', 'status' => 'required', 'scope' => ['area' => ['coat']]],
            ['kind' => 'technique', 'technique' => 'metallic_base', 'status' => 'required', 'scope' => ['area' => ['hook']]],
            ['kind' => 'technique', 'technique' => 'stain_coat', 'status' => 'required', 'scope' => ['area' => ['face']]],
        ]);
        $sculpt = Demo::sculptOf([
            'coat' => [],
            'hook' => ['material' => 'steel', 'relief' => ['hard_edges']],
            'face' => ['material' => 'skin', 'relief' => ['organic']],
        ]);
        $plain = ['shades' => [], 'lights' => []];
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'slots' => (object) [],
                'areas' => [
                    'coat' => ['base' => ['parts' => [['Half', 2], ['Tenth', 1]]]] + $plain,
                    'hook' => ['base' => 'Half'] + $plain,
                    'face' => ['base' => 'Tenth'] + $plain,
                ],
            ]),
        );
        $paints = function (array $method) use ($standard, $sculpt, $scheme): array {
            $plan = Demo::planner()->plan(
                new PlanRequest(
                    $standard,
                    $standard->tier('tier'),
                    $sculpt,
                    $scheme,
                    MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
                    [],
                    self::shelf(),
                ),
            );

            return self::paints($plan);
        };
        $as = $paints(['metal_ground' => 'as_is']);
        self::assertSame(['Half + Tenth 2:1', 'Half', 'Tenth'], [$as['coat base'], $as['hook base'], $as['face base']]);
        $start = ['parts' => [['Half', 3], ['Tenth', 5]]];
        self::assertSame('Half + Tenth 3:5', $paints(['metal_start' => $start])['hook base']);
        $black = $paints(['metal_start' => $start, 'metal_ground' => 'black', 'skin_medium' => 3]);
        self::assertSame('Half + Tenth 3:5', $black['hook underlay']);
        self::assertSame('Half', $black['hook base']);
        self::assertSame('Tenth with medium 1:3', $black['face base']);
    }

    /** Worked by hand: cm² × extent × coats × film × (1 + loss), split by parts, for 4 pieces of which one lacks an area. */
    public function test_a_unit_takes_as_much_of_each_paint_as_the_film_and_the_palette_do(): void
    {
        $required = fn (string $technique, string $area, string $extent = 'full'): array => [
            'kind' => 'technique',
            'technique' => $technique,
            'status' => 'required',
            'extent' => $extent,
            'scope' => ['area' => [$area]],
        ];
        $standard = Demo::tierOf([
            $required('base_coat', 'coat'),
            $required('glaze', 'coat', 'prominent'),
            $required('spray_base', 'shell'),
            $required('stain_coat', 'face'),
        ]);
        $sculpt = Demo::sculptOf([
            'coat' => ['share_pct' => 50],
            'shell' => ['share_pct' => 40, 'relief' => ['open_panel']],
            'face' => ['share_pct' => 10, 'material' => 'skin', 'relief' => ['organic']],
        ]);
        $scheme = SchemeFormat::read(
            Demo::object([
                'format' => SchemeFormat::WORD,
                'name' => 'S',
                'slots' => (object) [],
                'areas' => [
                    'coat' => ['base' => ['parts' => [['Half', 2], ['Tenth', 1]]], 'shades' => ['Ink'], 'lights' => []],
                    'shell' => ['base' => '#203040', 'shades' => [], 'lights' => []],
                    'face' => ['base' => 'Tenth', 'shades' => [], 'lights' => []],
                ],
            ]),
        );
        $request = new PlanRequest(
            $standard,
            $standard->tier('tier'),
            $sculpt,
            $scheme,
            MethodFormat::read(Demo::object(['format' => MethodFormat::WORD, 'skin_medium' => 3])),
            [],
            self::shelf(),
            4,
        );
        $unit = UnitPlan::of($request, [
            new PieceNeeds(1),
            new PieceNeeds(2),
            new PieceNeeds(3),
            new PieceNeeds(4, ['shell']),
        ]);
        $needs = [];
        foreach (PaintNeeds::of($unit) as $need) {
            $needs[$need->paint ?? 'medium'] = $need;
        }
        [$coat, $shell, $face] = array_map(
            fn (string $key): float => $sculpt->areaCm2($sculpt->area($key)),
            ['coat', 'shell', 'face'],
        );
        $base = 4 * $coat * 2 * 0.005 * 1.6;
        $stain = 4 * $face * 0.005 * 1.6;
        $expected = [
            'Half' => ($base * 2) / 3,
            'Tenth' => $base / 3 + $stain / 4,
            '#203040' => 3 * $shell * 0.002 * 2.2,
            'Ink' => 4 * $coat * 0.45 * 3 * 0.002 * 1.6,
            'medium' => ($stain * 3) / 4,
        ];
        self::assertEqualsCanonicalizing(array_keys($expected), array_keys($needs));
        foreach ($expected as $paint => $ml) {
            self::assertEqualsWithDelta($ml, $needs[$paint]->ml, 1e-9, $paint);
            self::assertSame((int) ceil(20 * $ml), $needs[$paint]->drops(), 'twenty drops to the millilitre');
        }
        self::assertSame('medium', array_key_last($needs));
        // Pass by pass it is as much as all at once.
        $byPass = [];
        foreach ($unit->kinds as $kind) {
            foreach ($kind->plan->work->passes as $pass) {
                $steps = array_map(fn (int $i) => $kind->plan->work->steps[$i], $pass->steps);
                foreach (PaintNeeds::ofSteps($steps, $kind->plan->request->sculpt, self::shelf(), count($kind->pieces)) as $need) {
                    $byPass[$need->paint ?? 'medium'] = ($byPass[$need->paint ?? 'medium'] ?? 0.0) + $need->ml;
                }
            }
        }
        foreach ($expected as $paint => $ml) {
            self::assertEqualsWithDelta($ml, $byPass[$paint], 1e-9, "$paint by pass");
        }
        self::assertSame([10.0, null], [$needs['Half']->left, $needs['Ink']->left]);
        self::assertFalse($needs['Half']->runsShort());
        self::assertTrue((new PaintNeed('Half', null, 10.01, 10.0))->runsShort());
    }

    /** @return array<string, string|null> by area and what it gives */
    private static function paints(Plan $plan): array
    {
        $paints = [];
        foreach (PlanFormat::write($plan)->steps as $i => $step) {
            $technique = $plan->work->steps[$i]->technique;
            $gives = isset($technique->effects['base_colour']) ? 'base' : (string) array_key_first($technique->effects);
            $paints["$step->area $gives"] = $step->colour?->paint;
        }

        return $paints;
    }

    private static function shelf(): Shelf
    {
        // Linear light 0.5 is #bcbcbc in sRGB, 0.1 is #595959.
        return ShelfFormat::readCsv("name,kind,hex,hiding,ml\nHalf,opaque,#bcbcbc,high,10\nTenth,opaque,#595959,low,10\n");
    }
}
