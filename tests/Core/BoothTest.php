<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Format\BoothFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\Grid;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothPicture;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\Faults;
use Ordotype\Core\Picture\Booth\Mark;
use Ordotype\Core\Picture\Booth\Masks;
use Ordotype\Core\Picture\Booth\Patch;
use Ordotype\Core\Picture\Booth\PlantedFault;
use Ordotype\Core\Picture\Booth\Ring;
use Ordotype\Core\Picture\Booth\SculptForm;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;
use Tests\Support\DemoPlans;

/** The booth draws what the plan does, every time the same, and knows the truth of what it drew. */
final class BoothTest extends TestCase
{
    private const SMALL = 160;

    public function test_the_same_request_gives_the_same_picture_and_another_brush_the_same_body(): void
    {
        $request = self::finished('sluice-warden', 'banner');
        $one = (new Booth())->draw($request);
        $booth = new Booth();
        $booth->draw(self::finished('mudlark', 'muster'));
        self::assertSame(hash('sha256', $one->rgb), hash('sha256', $booth->draw($request)->rgb));
        self::assertSame(3 * $one->width * $one->height, strlen($one->rgb));
        self::assertSame([self::SMALL, 213], [$one->width, $one->height]);
        $other = $booth->draw(new BoothRequest($request->sculpt, $request->done, $request->view, self::SMALL, 2));
        self::assertNotSame($one->rgb, $other->rgb);
        self::assertSame($one->truth->pixels, $other->truth->pixels);
        self::assertNotSame($one->rgb, (new Booth())->draw(self::finished('sluice-warden', 'banner', View::Back))->rgb);
        $again = BoothFormat::read(Json::decode(Json::encode(BoothFormat::write($request))));
        self::assertSame($one->rgb, $booth->draw($again)->rgb);
    }

    public function test_every_technique_that_can_be_seen_leaves_a_mark_of_its_own(): void
    {
        $booth = new Booth();
        $seen = [];
        $left = [];
        foreach (Demo::standard()->techniques as $technique) {
            $mark = Mark::of($technique);
            $left[] = $mark;
            if ($mark === null) {
                $unseen = [Effect::Prepare, Effect::Join, Effect::Check, Effect::GlossGround];
                self::assertTrue(
                    $technique->key === 'touch_up' || $technique->givesAny(...$unseen),
                    "$technique->key can be seen",
                );

                continue;
            }
            [$sculpt, $area] = self::suited($technique);
            $before = self::under($mark, $area->key);
            $coat = new Coat($technique->whole ? null : $area->key, $mark, Extent::Full, Srgb::fromHex('#b03028'), false);
            // What is drawn over matt varnish shows best where gloss was.
            // Dots are looked at closer.
            foreach ([150, 320] as $width) {
                $without = $booth->draw(new BoothRequest($sculpt, $before, width: $width));
                $with = $booth->draw(new BoothRequest($sculpt, [...$before, $coat], width: $width));
                $pixels = self::differing($without, $with);
                if ($pixels > 4) {
                    break;
                }
            }
            self::assertGreaterThan(4, $pixels, "$technique->key leaves nothing to be seen");
            $look = hash('sha256', $with->rgb);
            self::assertArrayNotHasKey($look, $seen, "$technique->key looks like ".($seen[$look] ?? ''));
            $seen[$look] = $technique->key;
        }
        self::assertGreaterThan(55, count($seen));
        foreach (Mark::cases() as $mark) {
            self::assertContains($mark, $left, "No technique of the catalogue leaves $mark->value");
        }
    }

    public function test_work_goes_from_bare_to_undercoated_to_finished(): void
    {
        $plan = self::plan('lantern-provost', 'cabinet');
        $booth = new Booth();
        $pictures = [];
        $first = 0;
        foreach ($plan->work->passes as $no => $pass) {
            $first = $plan->work->steps[$pass->steps[0]]->technique->has(Effect::Undercoat) ? $no + 1 : $first;
        }
        self::assertGreaterThan(0, $first);
        foreach ([0, $first, $first + 9, count($plan->work->passes)] as $passes) {
            $done = [];
            foreach (array_slice($plan->work->passes, 0, $passes) as $pass) {
                foreach ($pass->steps as $i) {
                    $done[] = $plan->work->steps[$i];
                }
            }
            $pictures[] = $booth->draw(new BoothRequest($plan->request->sculpt, Coat::all($done), width: self::SMALL));
        }
        [$bare, $undercoated, $half, $finished] = $pictures;
        self::assertEqualsWithDelta(1.0, $bare->truth->bare['robe'], 1e-6);
        self::assertEqualsWithDelta(1.0, $undercoated->truth->bare['robe'], 1e-6);
        self::assertGreaterThan(300, self::differing($bare, $undercoated));
        self::assertGreaterThan(300, self::differing($half, $finished));
        foreach (['robe', 'mantle', 'face', 'belt'] as $area) {
            self::assertLessThan(0.2, $finished->truth->bare[$area], $area);
        }
    }

    public function test_tiers_can_be_told_apart(): void
    {
        $booth = new Booth();
        foreach (['sluice-warden', 'lantern-provost', 'bell-diver'] as $sculpt) {
            $pictures = array_map(
                fn (string $tier): BoothPicture => $booth->draw(self::finished($sculpt, $tier)),
                ['muster', 'company', 'banner', 'cabinet', 'centrepiece'],
            );
            for ($i = 0; $i + 1 < count($pictures); $i++) {
                $share = self::differing($pictures[$i], $pictures[$i + 1], 12) / (self::SMALL * 213);
                self::assertGreaterThan(0.02, $share, "$sculpt: rungs $i and the next look alike");
            }
        }
    }

    public function test_planted_faults_show_where_they_are_planted_and_nowhere_else(): void
    {
        $booth = new Booth();
        $clean = self::finished('sluice-warden', 'centrepiece', width: 300);
        $picture = $booth->draw($clean);
        foreach (Faults::DRAWN as $key) {
            $area = match ($key) {
                'eyes_uneven' => 'eyes',
                'rim_untidy' => 'rim',
                'wobbly_line', 'broken_line', 'wide_line' => 'hood',
                'decal_missing' => 'coat',
                default => 'coat',
            };
            $coats = $clean->done;
            if (str_ends_with($key, '_line') && $key !== 'mould_line') {
                $coats[] = new Coat('hood', Mark::Edge, Extent::Full, Srgb::fromHex('#f0f0e8'), false);
            }
            if ($key === 'decal_missing') {
                $coats[] = new Coat('coat', Mark::Decal, Extent::Full, null, false);
            }
            $draw = fn (array $faults) => $booth->draw(
                new BoothRequest($clean->sculpt, $coats, View::Front, 300, 1, $faults),
            );
            $without = $draw([]);
            $with = $draw([new PlantedFault($key, $area)]);
            self::assertGreaterThan(3, self::differing($without, $with), "$key cannot be seen");
            self::assertEquals(
                array_diff_key($without->truth->light, [$area => 0]),
                array_diff_key($with->truth->light, [$area => 0]),
                "$key shows on other areas",
            );
        }
        $missed = $booth->draw(
            new BoothRequest($clean->sculpt, $clean->done, View::Front, 300, 1, [new PlantedFault('bare_primer', 'coat', 3.0)]),
        );
        $mm2 = ($missed->truth->bare['coat'] - $picture->truth->bare['coat']) * $missed->truth->pixels['coat'] / $picture->scale ** 2;
        self::assertEqualsWithDelta(M_PI * 1.5 ** 2, $mm2, 2.5, 'a spot of three millimetres');
    }

    public function test_a_threshold_in_the_painters_light_covers_the_share_it_says(): void
    {
        foreach (['sluice-warden' => 'coat', 'lantern-provost' => 'robe', 'reedback-toad' => 'hide'] as $name => $key) {
            $sculpt = Demo::sculpt($name);
            $form = new SculptForm($sculpt, View::Front, 300);
            foreach ($form->rings as $ring) {
                if ($ring->area->key !== $key) {
                    continue;
                }
                $patch = new Patch($form, $ring, 5);
                $masks = new Masks($patch);
                foreach ([0.48, 0.68, 0.83, 0.92] as $rank) {
                    $share = array_sum($masks->above($rank, 0.01)) / $patch->count;
                    self::assertEqualsWithDelta(1 - $rank, $share, 0.01, "$name $rank");
                }
            }
        }
    }

    public function test_distances_are_those_of_the_definition(): void
    {
        $dice = new Randomizer(new Mt19937(5));
        for ($case = 0; $case < 60; $case++) {
            [$w, $h] = [$dice->getInt(1, 12), $dice->getInt(1, 12)];
            $set = array_map(fn () => $dice->getInt(0, 3) > 0, range(1, $w * $h));
            $off = array_keys($set, false, true);
            $found = Grid::distances($set, $w, $h);
            foreach ($off === [] ? [] : $set as $i => $in) {
                $least = INF;
                foreach ($off as $j) {
                    $least = min($least, hypot($i % $w - $j % $w, intdiv($i, $w) - intdiv($j, $w)));
                }
                self::assertEqualsWithDelta($in ? $least : 0.0, $found[$i], 1e-6);
            }
        }
        $even = array_fill(0, 63, 2.5);
        self::assertEqualsWithDelta($even, Grid::blurred($even, 9, 7, 3), 1e-9);
        self::assertEqualsWithDelta(array_fill(0, 24 * 18, 2.5), Grid::enlarged($even, 9, 7, 3, 24, 18), 1e-9);
    }

    public function test_a_slanted_edge_is_shared_by_pixels_as_geometry_has_it(): void
    {
        $sculpt = Demo::sculptOf([
            'kite' => ['outline' => (object) ['front' => [[[0.5, 0.1], [0.87, 0.45], [0.55, 0.9], [0.12, 0.5]]]]],
        ]);
        $form = new SculptForm($sculpt, View::Front, 240);
        $ring = $form->rings[0];
        $covered = 0.0;
        foreach ($form->seen as $i => $no) {
            $covered += $no === 0 && ! isset($form->partly[$i]) ? 1.0 : 0.0;
        }
        foreach ($form->partly as [$no, $share]) {
            $covered += $no === 0 ? $share : 0.0;
        }
        self::assertEqualsWithDelta(self::shoelace($ring), $covered, 0.002 * self::shoelace($ring));
    }

    private static function shoelace(Ring $ring): float
    {
        $sum = 0.0;
        $n = count($ring->xs);
        for ($i = 0; $i < $n; $i++) {
            $j = ($i + 1) % $n;
            $sum += $ring->xs[$i] * $ring->ys[$j] - $ring->xs[$j] * $ring->ys[$i];
        }

        return abs($sum) / 2;
    }

    /** @return list<Coat> what lies under a mark so that it can be seen */
    private static function under(Mark $mark, string $area): array
    {
        $grey = Srgb::fromHex('#6a6a72');
        $coats = [new Coat(null, Mark::Undercoat, Extent::Full, Srgb::fromHex('#8d8c88'), false)];
        $isUndercoat = str_ends_with($mark->value, 'undercoat');
        if ($isUndercoat || str_starts_with($mark->value, 'value')) {
            return $isUndercoat ? [] : $coats;
        }
        $coats[] = new Coat($area, Mark::Cover, Extent::Full, $grey, true);
        if ($mark === Mark::Tidy) {
            $coats[] = new Coat($area, Mark::Wash, Extent::Full, Srgb::fromHex('#101418'), false);
        }
        if ($mark === Mark::Matt) {
            $coats[] = new Coat($area, Mark::Gloss, Extent::Full, null, false);
        }

        return $coats;
    }

    /** @return array{Sculpt, Area} a figure of the demo with an outlined area that the technique can be used on */
    private static function suited(Technique $technique): array
    {
        $best = null;
        foreach (DemoPlans::SCULPTS as $name) {
            $sculpt = Demo::sculpt($name);
            foreach ($sculpt->areas as $area) {
                $fits = $technique->whole || FittingTechniques::fits($technique, $area);
                $isSeen = ($area->outline['front'] ?? []) !== [];
                if ($fits && $isSeen && ($best === null || $area->sharePct > $best[1]->sharePct)) {
                    $best = [$sculpt, $area];
                }
            }
        }
        self::assertNotNull($best, "no area of the demo for $technique->key");

        return $best;
    }

    private static function plan(string $sculpt, string $tier): Plan
    {
        $standard = Demo::standard();

        return Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier($tier),
                Demo::sculpt($sculpt),
                Demo::scheme(),
                shelf: Demo::shelf(),
            ),
        );
    }

    private static function finished(
        string $sculpt,
        string $tier,
        View $view = View::Front,
        int $width = self::SMALL,
    ): BoothRequest {
        $plan = self::plan($sculpt, $tier);

        return new BoothRequest($plan->request->sculpt, Coat::all($plan->work->steps), $view, $width);
    }

    /** Pixels of which a channel differs by more than so much. */
    private static function differing(BoothPicture $one, BoothPicture $other, int $by = 6): int
    {
        $n = 0;
        for ($i = 0; $i < strlen($one->rgb); $i += 3) {
            for ($c = 0; $c < 3; $c++) {
                if (abs(ord($one->rgb[$i + $c]) - ord($other->rgb[$i + $c])) > $by) {
                    $n++;
                    break;
                }
            }
        }

        return $n;
    }
}
