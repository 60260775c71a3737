<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\MapCheck;
use Ordotype\Core\Sculpt\OutlinedSurface;
use Ordotype\Core\Words\MapWords;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;

/** Outlined surfaces against plane geometry, and the schematics that ship. */
final class OutlineGeometryTest extends TestCase
{
    public function test_a_star_shaped_ring_has_the_surface_of_the_shoelace_formula(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $points = $random->getInt(3, 24);
            $ring = [];
            for ($i = 0; $i < $points; $i++) {
                $r = 0.15 + (0.3 * $random->getInt(0, 1000)) / 1000;
                $ring[] = [
                    round(0.5 + $r * cos((2 * M_PI * $i) / $points), 4),
                    round(0.5 + $r * sin((2 * M_PI * $i) / $points), 4),
                ];
            }
            // Gauss's area formula: half the sum of the cross products, here in mm of a frame of 60 by 80.
            $twice = 0.0;
            foreach ($ring as $i => [$x, $y]) {
                [$nx, $ny] = $ring[($i + 1) % $points];
                $twice += $x * 60 * $ny * 80 - $nx * 60 * $y * 80;
            }
            $surface = new OutlinedSurface(
                Demo::sculptOf(['star' => ['outline' => ['front' => [$ring], 'back' => [array_reverse($ring)]]]]),
            );
            self::assertEqualsWithDelta(
                abs($twice) / 2,
                $surface->mm2('star', 'front'),
                (0.01 * abs($twice)) / 2 + 3.0,
                "seed $seed",
            );
            self::assertSame(
                $surface->mm2('star', 'front'),
                $surface->mm2('star', 'back'),
                'whichever way round it runs',
            );
        }
    }

    public function test_layers_hide_what_lies_below_and_nothing_is_counted_twice(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $areas = [];
            $covered = [];
            for ($i = 0; $i < 6; $i++) {
                [$left, $top] = [$random->getInt(0, 70) / 100, $random->getInt(0, 70) / 100];
                [$right, $bottom] = [$left + $random->getInt(5, 30) / 100, $top + $random->getInt(5, 30) / 100];
                $areas["a$i"] = [
                    'layer' => $i,
                    'share_pct' => 100 / 6,
                    'outline' => ['front' => [[[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]]]],
                ];
                // Painted over one another on a grid of its own: the later hides the earlier.
                for ($x = 0; $x < 200; $x++) {
                    for ($y = 0; $y < 200; $y++) {
                        if (
                            ($x + 0.5) / 200 > $left &&
                            ($x + 0.5) / 200 < $right &&
                            ($y + 0.5) / 200 > $top &&
                            ($y + 0.5) / 200 < $bottom
                        ) {
                            $covered[$x * 200 + $y] = "a$i";
                        }
                    }
                }
            }
            $surface = new OutlinedSurface(Demo::sculptOf($areas));
            $counts = array_count_values($covered);
            foreach (array_keys($areas) as $key) {
                self::assertEqualsWithDelta(
                    (($counts[$key] ?? 0) / 40_000) * 4800,
                    $surface->mm2($key, 'front'),
                    12.0,
                    "seed $seed, $key",
                );
            }
        }
    }

    public function test_every_schematic_can_be_planned_at_every_rung_and_has_a_sound_map(): void
    {
        $standard = Demo::standard();
        $files = glob(dirname(__DIR__, 2).'/database/templates/*.json') ?: [];
        self::assertCount(4, $files);
        foreach ($files as $file) {
            $document = Json::decode((string) file_get_contents($file));
            $sculpt = SculptFormat::read($document);
            self::assertEquals($document, Json::decode(Json::encode(SculptFormat::write($sculpt))), basename($file));
            $wrong = array_filter(
                (new MapCheck($sculpt))->findings(),
                fn ($f) => ! in_array($f->kind->value, ['touches_unsaid', 'share'], true),
            );
            self::assertSame([], array_map(MapWords::of(...), $wrong), basename($file));
            foreach (['muster', 'company', 'banner', 'cabinet', 'centrepiece'] as $tier) {
                $plan = Demo::planner()->plan(new PlanRequest($standard, $standard->tier($tier), $sculpt));
                self::assertSame([], $plan->conflicts(), "$file $tier");
                self::assertSame([], $plan->work->cycles, "$file $tier");
            }
        }
    }
}
