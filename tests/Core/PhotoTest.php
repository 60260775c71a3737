<?php

declare(strict_types=1);

namespace Tests\Core;

use InvalidArgumentException;
use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Format\PlacementFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Grid;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothPicture;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Photo\AreaMeasure;
use Ordotype\Core\Picture\Photo\AreaTables;
use Ordotype\Core\Picture\Photo\Bare;
use Ordotype\Core\Picture\Photo\CardFinder;
use Ordotype\Core\Picture\Photo\FigureFinder;
use Ordotype\Core\Picture\Photo\GreyCard;
use Ordotype\Core\Picture\Photo\Layout;
use Ordotype\Core\Picture\Photo\Light;
use Ordotype\Core\Picture\Photo\Meter;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Picture\Photo\Reduced;
use Ordotype\Core\Picture\Photo\RgbPixels;
use Ordotype\Core\Picture\Photo\Spots;
use Ordotype\Core\Picture\Photo\Tones;
use Ordotype\Core\Picture\Photo\Unmeasured;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;

/** Measures of photographs against what they are defined as. */
final class PhotoTest extends TestCase
{
    public function test_three_points_place_the_outlines_wherever_they_lie(): void
    {
        $sculpt = Demo::sculpt();
        [$left, $right, $top] = Placement::marks($sculpt, View::Front);
        $dice = new Randomizer(new Mt19937(3));
        $n = fn (int $from, int $to): float => $dice->getInt($from, $to) / 10;
        for ($case = 0; $case < 200; $case++) {
            $map = new Placement(View::Front, [$n(2000, 9000), $n(-900, 900), $n(-500, 500)], [
                $n(-900, 900),
                $n(2000, 9000),
                $n(-500, 500),
            ]);
            $found = Placement::ofPoints($sculpt, View::Front, $map->at($left), $map->at($right), $map->at($top));
            foreach ([[0.0, 0.0], [1.0, 0.3], [0.4, 0.9]] as $point) {
                self::assertEqualsWithDelta($map->at($point), $found->at($point), 1e-6);
            }
        }
        $read = PlacementFormat::read(
            Demo::object([
                'format' => PlacementFormat::WORD,
                'view' => 'front',
                'base_left' => $map->at($left),
                'base_right' => $map->at($right),
                'top' => $map->at($top),
            ]),
            $sculpt,
        );
        self::assertEqualsWithDelta($map->at([0.5, 0.5]), $read->at([0.5, 0.5]), 1e-6);
        try {
            PlacementFormat::read(
                Demo::object([
                    'format' => PlacementFormat::WORD,
                    'view' => 'front',
                    'base_left' => [10, 10],
                    'base_right' => [20, 20],
                    'top' => [30, 30],
                ]),
                $sculpt,
            );
            self::fail('three points on one line');
        } catch (FormatException $e) {
            self::assertStringContainsString('one line', $e->getMessage());
        }
    }

    public function test_a_pixel_is_counted_for_the_topmost_ring_that_holds_it_and_none_near_a_border(): void
    {
        $box = fn (float $x, float $y, float $w, float $h): array => [[$x, $y], [$x + $w, $y], [$x + $w, $y + $h], [$x, $y + $h]];
        $dice = new Randomizer(new Mt19937(9));
        for ($case = 0; $case < 40; $case++) {
            $rects = [];
            $areas = [];
            foreach (['a', 'b', 'c', 'd'] as $key) {
                $r = [$dice->getInt(0, 5), $dice->getInt(0, 5), $dice->getInt(2, 5), $dice->getInt(2, 5)];
                $rects[$key] = $r;
                $areas[$key] = ['outline' => (object) ['front' => [$box(...array_map(fn (int $v) => $v / 10, $r))]]];
            }
            $sculpt = Demo::sculptOf($areas, ['frame_mm' => [40, 40]]);
            $layout = new Layout($sculpt, Placement::whole(View::Front, 120, 120), 120, 120);
            $seen = [];
            foreach ($layout->rings as $ring) {
                foreach ($layout->runs[$ring->no] as $y => $runs) {
                    foreach ($runs as [$from, $to]) {
                        for ($x = $from; $x <= $to; $x++) {
                            self::assertArrayNotHasKey("$x $y", $seen, 'counted twice');
                            $seen["$x $y"] = $ring->area->key;
                        }
                    }
                }
            }
            // 3 pixels a mm: the margin is one pixel.
            $top = function (int $x, int $y) use ($rects): ?string {
                foreach (array_reverse($rects) as $key => [$left, $up, $w, $h]) {
                    if ($x >= 12 * $left && $x < 12 * ($left + $w) && $y >= 12 * $up && $y < 12 * ($up + $h)) {
                        return $key;
                    }
                }

                return null;
            };
            for ($y = 0; $y < 120; $y++) {
                for ($x = 0; $x < 120; $x++) {
                    $own = $top($x, $y);
                    $isWell = $own !== null && $own === $top($x - 1, $y) && $own === $top($x + 1, $y) &&
                        $own === $top($x, $y - 1) && $own === $top($x, $y + 1);
                    $corner = $isWell && array_unique([
                        $top($x - 1, $y - 1), $top($x + 1, $y - 1), $top($x - 1, $y + 1), $top($x + 1, $y + 1), $own,
                    ]) !== [$own];
                    if (! $corner) {
                        self::assertSame($isWell ? $own : null, $seen["$x $y"] ?? null, "$x $y");
                    }
                }
            }
        }
    }

    public function test_rank_correlation_is_spearmans(): void
    {
        $dice = new Randomizer(new Mt19937(11));
        for ($case = 0; $case < 100; $case++) {
            $table = new AreaTables();
            $pairs = [];
            for ($n = 0; $n < $dice->getInt(5, 40); $n++) {
                [$band, $bin] = [$dice->getInt(0, 8), $dice->getInt(20, 40)];
                $at = $band * Light::BINS + $bin;
                $table->heights[0][$at] = ($table->heights[0][$at] ?? 0) + 1;
                $table->pixels++;
                $pairs[] = [-$band, $bin];
            }
            self::assertEqualsWithDelta(self::spearman($pairs), $table->fromAbove(), 1e-9);
        }
    }

    /** @param  list<array{int, int}>  $pairs */
    private static function spearman(array $pairs): float
    {
        $rank = fn (int $k): array => array_map(function (array $p) use ($pairs, $k): float {
            $less = count(array_filter($pairs, fn (array $q) => $q[$k] < $p[$k]));
            $same = count(array_filter($pairs, fn (array $q) => $q[$k] === $p[$k]));

            return $less + ($same + 1) / 2;
        }, $pairs);
        [$x, $y] = [$rank(0), $rank(1)];
        $m = (count($pairs) + 1) / 2;
        $xy = $xx = $yy = 0.0;
        foreach ($x as $i => $v) {
            $xy += ($v - $m) * ($y[$i] - $m);
            $xx += ($v - $m) ** 2;
            $yy += ($y[$i] - $m) ** 2;
        }

        return $xx <= 0.0 || $yy <= 0.0 ? 0.0 : $xy / sqrt($xx * $yy);
    }

    public function test_tones_are_peaks_that_stand_apart(): void
    {
        $bell = function (array $peaks): array {
            $bins = array_fill(0, Light::BINS, 0);
            foreach ($peaks as [$l, $mass]) {
                for ($i = 0; $i < Light::BINS; $i++) {
                    $bins[$i] += (int) round($mass * exp(-((($i / 2 - $l) / 1.5) ** 2) / 2));
                }
            }

            return $bins;
        };
        self::assertSame([30.0], Tones::of($bell([[30, 1000]])));
        self::assertSame([30.0, 42.0, 55.0], Tones::of($bell([[30, 1000], [42, 700], [55, 400]])));
        self::assertCount(1, Tones::of($bell([[30, 1000], [33, 900]])), 'too near to be told apart');
        self::assertCount(1, Tones::of($bell([[30, 1000], [60, 15]])), 'too little of it');
        self::assertEqualsWithDelta(1.0, Tones::starkest($bell([[20, 1000], [70, 1000]])), 0.01);
        self::assertLessThan(0.7, Tones::starkest($bell([[30, 1000], [35, 1000]])));
        self::assertSame(0.0, Tones::starkest($bell([[30, 1000]])));
    }

    public function test_spots_hang_together_as_a_flood_finds_them(): void
    {
        $dice = new Randomizer(new Mt19937(13));
        for ($case = 0; $case < 80; $case++) {
            $on = [];
            $spots = new Spots();
            for ($y = 0; $y < 14; $y++) {
                for ($x = 0; $x < 14; $x++) {
                    if ($dice->getInt(0, 2) === 0) {
                        $on["$x,$y"] = [$x, $y];
                        $spots->add($x, $y);
                    }
                }
            }
            $largest = 0;
            while ($on !== []) {
                $open = [array_pop($on)];
                for ($size = 0; $open !== []; $size++) {
                    [$x, $y] = array_pop($open);
                    foreach ([-1, 0, 1] as $dx) {
                        foreach ([-1, 0, 1] as $dy) {
                            $next = ($x + $dx).','.($y + $dy);
                            if (isset($on[$next])) {
                                $open[] = $on[$next];
                                unset($on[$next]);
                            }
                        }
                    }
                }
                $largest = max($largest, $size);
            }
            self::assertSame($largest, $spots->largest());
        }
    }

    public function test_the_card_takes_exposure_and_cast_out(): void
    {
        $dice = new Randomizer(new Mt19937(17));
        for ($case = 0; $case < 60; $case++) {
            $cast = [2 ** ($dice->getInt(-70, 70) / 100), 2 ** ($dice->getInt(-70, 70) / 100), 0.0];
            $cast = [$cast[0] * $dice->getInt(92, 108) / 100, $cast[0], $cast[0] * $dice->getInt(92, 108) / 100];
            $colour = [$dice->getInt(4, 40) / 100, $dice->getInt(4, 40) / 100, $dice->getInt(4, 40) / 100];
            $seen = fn (array $light): array => array_map(
                fn (float $c, float $k) => Light::linear(self::byte($c * $k)),
                $light,
                $cast,
            );
            $grey = Srgb::fromLinear(...array_map(fn (float $k) => 0.18418651851244416 * $k, $cast));
            $pixels = new RgbPixels(8, 8, str_repeat(chr($grey->red).chr($grey->green).chr($grey->blue), 64));
            $card = GreyCard::in($pixels, [1, 1, 6, 6]);
            [$r, $g, $b] = GreyCard::applied($card->matrix, $seen($colour));
            self::assertLessThan(2.5, Light::lab($r, $g, $b)->deltaE00(Light::lab(...$colour)));
            [$r, $g, $b] = GreyCard::applied($card->matrix, $seen([0.3, 0.3, 0.3]));
            self::assertLessThan(1.6, Light::lab($r, $g, $b)->deltaE00(Light::lab(0.3, 0.3, 0.3)), 'grey stays grey but for two roundings to a byte');
        }
        $this->expectException(InvalidArgumentException::class);
        GreyCard::in(new RgbPixels(4, 4, str_repeat("\0", 48)), [1, 1, 2, 2]);
    }

    private static function byte(float $linear): int
    {
        return Srgb::fromLinear($linear, $linear, $linear)->red;
    }

    public function test_bare_undercoat_is_told_from_paint_in_any_light(): void
    {
        $bare = new Bare(Srgb::fromHex('#8d8c88'), [Srgb::fromHex('#7a1f1f'), Srgb::fromHex('#c0502a')]);
        self::assertTrue($bare->canBeTold());
        foreach ([0.3, 0.6, 1.0, 1.3] as $light) {
            $lit = fn (string $hex): Lab => Light::lab(
                ...array_map(fn (float $c) => $c * $light, Srgb::fromHex($hex)->linear()),
            );
            self::assertTrue($bare->isBare($lit('#8d8c88')), "undercoat at $light");
            self::assertFalse($bare->isBare($lit('#7a1f1f')), "red at $light");
            self::assertFalse($bare->isBare($lit('#9e382a')), "a mixture at $light");
        }
        self::assertFalse((new Bare(Srgb::fromHex('#8d8c88'), [Srgb::fromHex('#77787a')]))->canBeTold());
    }

    public function test_a_card_is_found_wherever_it_lies_and_nothing_else_is_taken_for_one(): void
    {
        $random = new Randomizer(new Mt19937(11));
        // L* 90, 50 and 20 as sRGB (CIE 15, IEC 61966-2-1).
        $fields = [226, 119, 48];
        for ($n = 0; $n < 12; $n++) {
            $side = $random->getInt(16, 40);
            [$left, $top] = [$random->getInt(0, 320 - $side), $random->getInt(0, 400 - 3 * $side)];
            $isThere = $n % 4 !== 3;
            $isUp = $n % 2 === 0;
            $rgb = '';
            for ($y = 0; $y < 400; $y++) {
                for ($x = 0; $x < 320; $x++) {
                    $in = $x >= $left && $x < $left + $side && $y >= $top && $y < $top + 3 * $side;
                    $field = intdiv($y - $top, $side);
                    // Beside it a ground with folds; where there is no card two of its fields alone.
                    $grey = match (true) {
                        $in && ($isThere || $field !== 2) => $fields[$isUp ? $field : 2 - $field] * 0.9,
                        default => 120 + 40 * sin($x / 9) * cos($y / 13),
                    };
                    $rgb .= str_repeat(chr((int) max(0, min(255, $grey + $random->getInt(-2, 2)))), 3);
                }
            }
            $found = (new CardFinder(new Reduced(new RgbPixels(320, 400, $rgb))))->find();
            if (! $isThere) {
                self::assertNull($found, "no card, $n");

                continue;
            }
            self::assertNotNull($found, "card $n of $side");
            self::assertEqualsWithDelta($left, $found[0], 0.35 * $side);
            self::assertEqualsWithDelta($top + $side, $found[1], 0.35 * $side);
            self::assertEqualsWithDelta($side, $found[2], 0.35 * $side);
        }
    }

    public function test_an_even_ground_shows_no_figure(): void
    {
        $small = new Reduced(new RgbPixels(320, 400, str_repeat("\x80\x82\x7f", 320 * 400)));
        self::assertNull((new FigureFinder($small))->find(Demo::sculpt(), View::Front, null));
        self::assertNull((new CardFinder($small))->find());
    }

    public function test_what_cannot_be_measured_says_why(): void
    {
        $sculpt = Demo::sculptOf(
            [
                'whole' => ['outline' => (object) ['front' => [[[0.1, 0.1], [0.9, 0.1], [0.9, 0.9], [0.1, 0.9]]]]],
                'dot' => ['outline' => (object) ['front' => [[[0.5, 0.5], [0.52, 0.5], [0.52, 0.52], [0.5, 0.52]]]]],
            ],
            ['frame_mm' => [40, 40]],
        );
        $of = fn (string $pixel): array => (new Meter($sculpt, GreyCard::none()))->measure(
            new RgbPixels(200, 200, str_repeat($pixel, 40_000)),
            Placement::whole(View::Front, 200, 200),
        );
        $grey = $of("\x80\x60\x40");
        self::assertNull($grey['whole']->why);
        self::assertSame(0.0, $grey['whole']->contrast->value);
        self::assertCount(1, $grey['whole']->tones ?? []);
        self::assertEqualsWithDelta(Srgb::fromHex('#806040')->lab()->l, $grey['whole']->colour?->l ?? 0.0, 1.0);
        self::assertSame(Unmeasured::TooSmall, $grey['dot']->why);
        self::assertNull($grey['dot']->contrast->value);
        self::assertSame(Unmeasured::Clipped, $of("\xff\xfe\xfe")['whole']->why);
        self::assertNull($of("\xff\xfe\xfe")['whole']->contrast->value);
        self::assertSame(Unmeasured::Dark, $of("\x05\x04\x05")['whole']->why);
        self::assertSame(Unmeasured::Alike, $grey['whole']->bare->why);
    }

    public function test_pictures_that_are_moved_turned_or_blurred_say_so_and_a_coloured_ground_changes_nothing(): void
    {
        foreach (['sluice-warden', 'lantern-provost'] as $name) {
            $sculpt = Demo::sculpt($name);
            $standard = Demo::standard();
            $plan = Demo::planner()->plan(
                new PlanRequest($standard, $standard->tier('banner'), $sculpt, Demo::scheme(), shelf: Demo::shelf()),
            );
            $picture = (new Booth())->draw(new BoothRequest($sculpt, Coat::all($plan->work->steps), width: 480));
            [$w, $h] = [(float) $picture->width, (float) $picture->height];
            $measure = fn (string $rgb, Placement $at): array => (new Meter($sculpt, GreyCard::none()))->measure(
                new RgbPixels($picture->width, $picture->height, $rgb),
                $at,
            );
            $right = Placement::whole(View::Front, $picture->width, $picture->height);
            $own = $measure($picture->rgb, $right);
            $largest = array_key_first(
                array_filter($own, fn (AreaMeasure $m) => $m->pixels === max(array_column($own, 'pixels'))),
            );
            self::assertNull($own[$largest]->why);
            $moved = new Placement(View::Front, [$w, 0.0, $picture->scale], [0.0, $h, 0.0]);
            self::assertSame(Unmeasured::Moved, $measure($picture->rgb, $moved)[$largest]->why, "$name by 1 mm");
            [$c, $s] = [cos(M_PI / 36), sin(M_PI / 36)];
            $turned = new Placement(
                View::Front,
                [$c * $w, -$s * $h, 0.5 * $w - 0.5 * ($c * $w - $s * $h)],
                [$s * $w, $c * $h, 0.5 * $h - 0.5 * ($s * $w + $c * $h)],
            );
            self::assertSame(Unmeasured::Moved, $measure($picture->rgb, $turned)[$largest]->why, "$name by 5°");
            $soft = $measure(self::blurred($picture), $right)[$largest];
            self::assertSame(Unmeasured::Blurred, $soft->lineWidth->why, $name);
            self::assertSame(Unmeasured::Blurred, $soft->stark->why, $name);
            $green = $measure(self::onGreen($picture), $right)[$largest];
            self::assertEqualsWithDelta($own[$largest]->contrast->value, $green->contrast->value, 1.0, $name);
            self::assertEquals($own[$largest]->tones, $green->tones);
        }
    }

    private static function blurred(BoothPicture $picture): string
    {
        $channels = [[], [], []];
        for ($i = 0; $i < strlen($picture->rgb); $i++) {
            $channels[$i % 3][] = (float) ord($picture->rgb[$i]);
        }
        $soft = array_map(fn (array $c) => Grid::blurred($c, $picture->width, $picture->height, 5), $channels);
        $rgb = '';
        foreach ($soft[0] as $k => $red) {
            $rgb .= chr((int) $red).chr((int) $soft[1][$k]).chr((int) $soft[2][$k]);
        }

        return $rgb;
    }

    /** The grey paper painted green. */
    private static function onGreen(BoothPicture $picture): string
    {
        $rgb = $picture->rgb;
        for ($i = 0; $i < strlen($rgb); $i += 3) {
            [$r, $g, $b] = [ord($rgb[$i]), ord($rgb[$i + 1]), ord($rgb[$i + 2])];
            if (max($r, $g, $b) - min($r, $g, $b) < 7 && $r > 90) {
                $rgb[$i] = chr(40);
                $rgb[$i + 2] = chr(60);
            }
        }

        return $rgb;
    }

    public function test_a_light_line_is_as_wide_as_it_was_drawn(): void
    {
        $sculpt = Demo::sculptOf(
            ['plate' => ['outline' => (object) ['front' => [[[0.1, 0.1], [0.9, 0.1], [0.9, 0.9], [0.1, 0.9]]]]]],
            ['frame_mm' => [20, 20]],
        );
        foreach ([0.3, 0.45, 0.6, 0.75] as $mm) {
            self::assertEqualsWithDelta($mm, self::lined($sculpt, $mm), 0.06, "$mm mm");
        }
        self::assertSame(-1.0, self::lined($sculpt, 0.0), 'no line, no width');
    }

    /** Thirty pixels a mm; a frame of light inside the border, two pixels of soft edge. */
    private static function lined(Sculpt $sculpt, float $mm): float
    {
        $rgb = '';
        for ($y = 0; $y < 600; $y++) {
            for ($x = 0; $x < 600; $x++) {
                $in = min($x - 59.5, 539.5 - $x, $y - 59.5, 539.5 - $y) / 30;
                $share = max(0.0, min(1.0, ($mm - $in) * 15 + 0.5));
                $rgb .= str_repeat(chr((int) (70 + ($mm > 0 ? 120 * $share : 0))), 3);
            }
        }
        $measured = (new Meter($sculpt, GreyCard::none()))->measure(
            new RgbPixels(600, 600, $rgb),
            Placement::whole(View::Front, 600, 600),
        );

        return $measured['plate']->lineWidth->value ?? -1.0;
    }
}
