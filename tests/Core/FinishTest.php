<?php

declare(strict_types=1);

namespace Tests\Core;

use App\Pictures\FlatPaintTable;
use App\Pictures\TruthTable;
use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Format\FlatPaintFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Ladder\FindingKind;
use Ordotype\Core\Ladder\FlatPaint;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\PlantedFault;
use Ordotype\Core\Picture\Photo\AreaMeasure;
use Ordotype\Core\Picture\Photo\Drift;
use Ordotype\Core\Picture\Photo\Figure;
use Ordotype\Core\Picture\Photo\Finish;
use Ordotype\Core\Picture\Photo\GreyCard;
use Ordotype\Core\Picture\Photo\HeldFigure;
use Ordotype\Core\Picture\Photo\Meter;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Picture\Photo\PlannedPaint;
use Ordotype\Core\Picture\Photo\RgbPixels;
use Ordotype\Core\Picture\Photo\Shading;
use Ordotype\Core\Picture\Photo\Tones;
use Ordotype\Core\Picture\Photo\Unmeasured;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Words\LadderWords;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;
use Tests\Support\DemoPlans;

/** What is measured, held against the finish clauses; and the clauses, held against what flat paint shows. */
final class FinishTest extends TestCase
{
    private const WIDTH = 440;

    public function test_a_drawing_of_every_finished_plan_breaks_no_finish_clause_of_its_own_tier(): void
    {
        $standard = Demo::standard();
        $held = [];
        foreach (DemoPlans::SCULPTS as $sculpt) {
            $booth = new Booth();
            $bare = $booth->draw(
                new BoothRequest(Demo::sculpt($sculpt), [FlatPaintTable::undercoat()], width: self::WIDTH, seed: 2),
            );
            foreach ($standard->tiers as $tier) {
                if ($tier->status !== TierStatus::Offered) {
                    continue;
                }
                $plan = self::plan($standard, $sculpt, $tier->key);
                $picture = $booth->draw(
                    new BoothRequest($plan->request->sculpt, Coat::all($plan->work->steps), width: self::WIDTH),
                );
                $measures = TruthTable::measured($plan, $picture, View::Front, $bare);
                foreach ((new Finish($plan))->held($measures) as $figure) {
                    $held[$figure->asked->criterion->value][] = "$sculpt $tier->key {$figure->area->key}";
                    self::assertTrue($figure->isMet, "$sculpt $tier->key {$figure->area->key}: ".self::said($figure));
                }
            }
        }
        self::assertGreaterThan(60, count($held['tonal_span']));
        self::assertGreaterThan(20, count($held['hard_step']));
        self::assertGreaterThan(10, count($held['line_width']));
        self::assertGreaterThan(10, count($held['light_from_above']));
    }

    public function test_light_from_below_and_a_wide_line_break_clauses(): void
    {
        $standard = Demo::standard();
        $plan = self::plan($standard, 'mudlark', 'banner');
        $below = self::heldWith($plan, new PlantedFault('light_from_below', 'shirt', null));
        self::assertSame(['shirt light_from_above'], $below);
        $plan = self::plan($standard, 'sluice-warden', 'banner');
        self::assertSame(['coat line_width'], self::heldWith($plan, new PlantedFault('wide_line', 'coat', 0.7)));
        self::assertSame([], self::heldWith($plan));
    }

    /** @return list<string> what is broken */
    private static function heldWith(Plan $plan, PlantedFault ...$faults): array
    {
        $picture = (new Booth())->draw(
            new BoothRequest(
                $plan->request->sculpt,
                Coat::all($plan->work->steps),
                width: 612,
                faults: array_values($faults),
            ),
        );
        $broken = array_filter(
            (new Finish($plan))->held(TruthTable::measured($plan, $picture)),
            // Without a picture in undercoat, form and shadow read as steps.
            fn (HeldFigure $h) => ! $h->isMet && $h->asked->criterion !== Criterion::HardStep,
        );

        return array_values(array_map(fn (HeldFigure $h) => $h->area->key.' '.$h->asked->subject(), $broken));
    }

    public function test_light_is_divided_out_by_the_undercoat_wherever_its_photograph_was_taken_from(): void
    {
        $sculpt = Demo::sculptOf(
            ['cloak' => ['outline' => (object) ['front' => [[[0.1, 0.1], [0.9, 0.1], [0.9, 0.9], [0.1, 0.9]]]]]],
            ['frame_mm' => [20, 20]],
        );
        // Two flat tones under a light that falls off sideways: without the undercoat every tone there is in between.
        $light = fn (float $u): float => 1.0 - 0.75 * $u;
        $painted = self::picture(300, fn (float $u, float $v) => $light($u) * ($v < 0.5 ? 0.08 : 0.4));
        $bare = self::picture(200, fn (float $u, float $v) => $light(($u - 0.05) / 0.9) * 0.27, 0.05);
        $undercoat = Srgb::fromHex('#8e8e8e');
        self::assertEqualsWithDelta(0.27, $undercoat->linear()[0], 0.005);
        $at = Placement::whole(View::Front, 300, 300);
        // The second photograph shows the frame a little smaller.
        $shading = new Shading($bare, new Placement(View::Front, [180, 0, 10], [0, 180, 10]), GreyCard::none(), $undercoat);
        $of = fn (?Shading $s): AreaMeasure => (new Meter($sculpt, GreyCard::none(), new PlannedPaint(), $s))
            ->measure($painted, $at)['cloak'];
        $tones = $of($shading)->tones ?? [];
        self::assertCount(2, $tones);
        // L* of 0.08 and 0.40 (CIE 15).
        self::assertEqualsWithDelta(34.0, $tones[0], 1.5);
        self::assertEqualsWithDelta(69.5, $tones[1], 1.5);
        self::assertGreaterThan(0.9, $of($shading)->stark->value);
        self::assertGreaterThan(3.0, abs(($of(null)->tones[0] ?? 0.0) - 34.0), 'the light is in them');
        // What is lit is lit: contrast is of the photograph as it is.
        self::assertSame($of(null)->contrast->value, $of($shading)->contrast->value);
    }

    /** @param  callable(float, float): float  $light  linear, by place in the picture */
    private static function picture(int $side, callable $light, float $margin = 0.0): RgbPixels
    {
        $rgb = '';
        for ($y = 0; $y < $side; $y++) {
            for ($x = 0; $x < $side; $x++) {
                $l = max(0.0, min(1.0, $light(($x + 0.5) / $side, ($y + 0.5) / $side)));
                // IEC 61966-2-1.
                $rgb .= str_repeat(
                    chr((int) round(255 * ($l <= 0.0031308 ? 12.92 * $l : 1.055 * $l ** (1 / 2.4) - 0.055))),
                    3,
                );
            }
        }

        return new RgbPixels($side, $side, $rgb);
    }

    public function test_drift_is_from_the_middle_of_the_unit_and_names_the_worst_first(): void
    {
        $red = new Lab(50.0, 20.0, 10.0);
        $models = [
            1 => ['coat' => $red, 'hood' => new Lab(30.0, 0.0, 0.0)],
            2 => ['coat' => $red],
            3 => ['coat' => new Lab(50.0, 20.0, 11.0)],
            4 => ['coat' => new Lab(58.0, 20.0, 10.0)],
        ];
        $middle = Drift::middle($models);
        self::assertSame(['coat'], array_keys($middle), 'one hood is no unit');
        // Of an even number the mean of the two in the middle.
        self::assertEquals(new Lab(50.0, 20.0, 10.0), $middle['coat']);
        $off = Drift::of($models, $middle);
        self::assertSame([4, 3, 1, 2], array_column($off, 'model'));
        self::assertSame($models[4]['coat']->deltaE00($red), $off[0]['deltaE']);
        self::assertSame(0.0, $off[2]['deltaE']);
        self::assertSame('hood', Drift::of([1 => $models[1]], $models[1])[1]['area']);
    }

    public function test_figures_count_beyond_what_they_may_be_off_by_and_colours_only_with_a_card(): void
    {
        $plan = self::plan(Demo::standard(), 'sluice-warden', 'centrepiece');
        $coat = $plan->request->sculpt->area('coat');
        $measure = fn (float $contrast, float $line, ?Lab $colour): AreaMeasure => new AreaMeasure(
            $coat,
            9000,
            null,
            Figure::of($contrast, 9000),
            Figure::none(Unmeasured::Marked),
            Figure::none(Unmeasured::Alike),
            Figure::none(Unmeasured::Alike),
            Figure::of($line, 100),
            $colour,
            null,
        );
        $met = function (AreaMeasure $m, bool $hasCard = true) use ($plan): array {
            $unit = ['coat' => new Lab(40.0, -10.0, 0.0)];
            $held = (new Finish($plan, [], $unit, $hasCard))->held(['coat' => $m]);

            return array_combine(
                array_map(fn (HeldFigure $h) => $h->asked->criterion->value, $held),
                array_map(fn (HeldFigure $h) => $h->isMet, $held),
            );
        };
        // The tier asks for 38 L* at least, lines of 0.3 mm at most, a drift of 4 ΔE at most.
        $same = new Lab(40.0, -10.0, 0.0);
        $off = new Lab(47.0, -10.0, 0.0);
        self::assertEquals(
            ['tonal_span' => true, 'colour_drift' => true, 'line_width' => true],
            $met($measure(35.5, 0.39, $same)),
        );
        self::assertEquals(
            ['tonal_span' => false, 'colour_drift' => false, 'line_width' => false],
            $met($measure(34.5, 0.41, $off)),
        );
        self::assertEquals(['tonal_span' => true, 'line_width' => true], $met($measure(40.0, 0.3, $off), false));
    }

    public function test_a_step_that_a_photograph_does_not_promise_is_not_called_stark(): void
    {
        $peaks = fn (float ...$at): array => array_map(
            fn (int $bin) => (int) array_sum(
                array_map(fn (float $l) => 4000 * exp(-((($bin / 2 - $l) / 1.5) ** 2) / 2), $at),
            ),
            range(0, 223),
        );
        self::assertSame(0.0, Tones::starkest($peaks(40.0, 48.0)));
        self::assertGreaterThan(0.9, Tones::starkest($peaks(40.0, 52.0)));
        self::assertSame([40.0, 48.0], Tones::of($peaks(40.0, 48.0)), 'shown all the same');
    }

    public function test_lint_finds_contrast_that_light_alone_makes_and_the_packs_ask_for_more(): void
    {
        $shipped = FlatPaintFormat::read(
            Json::decode((string) file_get_contents(dirname(__DIR__, 2).'/database/catalogue/flat-paint.json')),
        );
        foreach (['five-rungs.json', 'two-stages.json', 'three-grades.json'] as $pack) {
            self::assertSame([], (new Lint(Demo::standardOf($pack), flat: $shipped))->ofTheLadder(), $pack);
        }
        $flat = new FlatPaint(['cloth' => 25.0, 'skin' => 31.0], ['cloth' => 22.0, 'skin' => 33.0]);
        $found = function (array $scope, float $limit, string $criterion = 'tonal_span') use ($flat): ?string {
            $clause = ['kind' => 'finish', 'criterion' => $criterion, 'limit' => $limit, 'scope' => $scope];
            $standard = Demo::tierOf([$clause]);
            $findings = (new Lint($standard, flat: $flat))->ofTheLadder();
            if ($findings === []) {
                return null;
            }
            self::assertSame(FindingKind::AsksNothing, $findings[0]->kind);

            return (new LadderWords($standard))->change($findings[0]);
        };
        self::assertSame('Ask for more than 25 L*, or leave it out.', $found(['material' => ['cloth']], 25.0));
        self::assertNull($found(['material' => ['cloth']], 25.5));
        self::assertSame('Ask for more than 33 L*, or leave it out.', $found(['material' => ['skin']], 32.0));
        self::assertNull($found(['material' => ['cloth', 'skin']], 30.0), 'it asks for something on cloth');
        self::assertNull($found(['material' => ['stone']], 1.0), 'nothing is known of stone');
        self::assertNull($found(['material' => ['cloth']], 0.1, 'light_from_above'));
    }

    public function test_the_table_of_flat_paint_is_what_the_booth_shows(): void
    {
        $table = new FlatPaintTable(360);
        $table->add(Demo::sculpt('mudlark'));
        $shipped = FlatPaintFormat::read(
            Json::decode((string) file_get_contents(dirname(__DIR__, 2).'/database/catalogue/flat-paint.json')),
        );
        $shown = $table->table();
        self::assertContains('cloth', array_keys($shown->undercoat));
        foreach ($shown->undercoat as $material => $contrast) {
            // One figure of the six, drawn smaller.
            self::assertEqualsWithDelta($shipped->undercoat[$material], $contrast, 5.0, $material);
            self::assertLessThan($contrast, $shown->flat[$material], "$material: a darker grey shows less");
        }
    }

    private static function said(HeldFigure $h): string
    {
        return sprintf('%s %.2f against %.2f', $h->asked->criterion->value, $h->value, $h->limit);
    }

    private static function plan(Standard $standard, string $sculpt, string $tier): Plan
    {
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
}
