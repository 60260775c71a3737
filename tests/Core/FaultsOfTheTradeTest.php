<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Inspection\CheckList;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Inspection\Judgement;
use Ordotype\Core\Inspection\Repair;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/**
 * Every fault of the trade's table, planted on a figure of the demo: asked for in its check, weighed at each tier by a
 * calculation of its own, and put right as a painter would (each row read and agreed; common practice, no source).
 */
final class FaultsOfTheTradeTest extends TestCase
{
    private const TIERS = ['muster', 'company', 'banner', 'cabinet', 'centrepiece'];

    /** All of the coat over again: base, shade, light, edges, lines. */
    private const COAT = 'base_coat stain_shade stipple edge_highlight dark_lining';

    /** From the tidied base on. */
    private const FROM_TIDY = 'tidy_base stipple edge_highlight dark_lining';

    /** What is done for each, a patch of it: on the coat of the warden at Banner where nothing else is said. */
    private const REPAIRS = [
        'missing_technique' => self::COAT,
        'bare_primer' => self::COAT,
        'overspill' => self::COAT,
        'tide_mark' => self::COAT,
        'pooling' => 'tidy_base glaze stipple edge_highlight dark_lining',
        'frosted_recess' => 'recess_shade',
        'brush_marks' => self::COAT,
        'clogged_detail' => self::COAT,
        'dusty_drybrush' => 'tint_filter',
        'wobbly_line' => self::FROM_TIDY,
        'broken_line' => 'edge_highlight',
        'wide_line' => self::FROM_TIDY,
        'hard_step' => 'glaze',
        'flat_area' => 'layer edge_highlight dark_lining',
        'light_from_below' => self::FROM_TIDY,
        'colour_drift' => 'tint_filter',
        'metal_flecks' => self::FROM_TIDY,
        'decal_silvering' => 'decal_softener',
        'decal_torn' => 'decal',
        'decal_missing' => 'decal',
        'decal_wrong' => 'decal',
        'tide_under_decal' => 'decal',
        'frosted_varnish' => 'gloss_under@all matt_varnish@all',
        'patchy_sheen' => 'matt_varnish@all',
        'rub_through' => self::COAT,
        'mould_line' => 'mould_line_removal@all '.self::COAT,
        'gap' => 'gap_filling@all '.self::COAT,
        'eyes_uneven' => 'eye_dot',
        'unpainted_hidden' => 'base_coat',
        'fluff_in_paint' => self::COAT,
        // Noted on the ground, it lies on the boots: a stain, so a light ground first and all of it.
        'ground_on_feet' => 'light_underlay@boots stain_coat@boots stipple@boots edge_highlight@boots dark_lining@boots',
        'rim_untidy' => 'rim_paint',
        'loose_tuft' => 'ground_tufts',
        'broken_part' => 'gap_filling@all '.self::COAT,
        'patchy_cover' => self::COAT,
        'too_dark_or_bright' => 'tint_filter edge_highlight dark_lining',
        'wrong_paint' => self::COAT,
        'handle_scar' => self::COAT,
        'chipped_off_handle' => self::COAT,
        'glue_bloom' => 'matt_varnish@all',
        'fingerprint' => self::COAT,
        'varnish_pooled' => 'matt_varnish@all',
        'monotone_unit' => '',
    ];

    private const ELSEWHERE = [
        'eyes_uneven' => ['sluice-warden', 'eyes'],
        'ground_on_feet' => ['sluice-warden', 'ground'],
        'loose_tuft' => ['sluice-warden', 'ground'],
        'rim_untidy' => ['sluice-warden', 'rim'],
        'decal_silvering' => ['lantern-provost', 'trim'],
        'decal_torn' => ['lantern-provost', 'trim'],
        'decal_missing' => ['lantern-provost', 'trim'],
        'decal_wrong' => ['lantern-provost', 'trim'],
        'tide_under_decal' => ['lantern-provost', 'trim'],
    ];

    /** @return iterable<string, array{FaultKind}> */
    public static function kinds(): iterable
    {
        foreach (InspectionTest::faults()->kinds as $kind) {
            yield $kind->key => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_a_fault_is_asked_for_weighed_at_each_tier_and_put_right(FaultKind $kind): void
    {
        [$figure, $key] = self::ELSEWHERE[$kind->key] ?? ['sluice-warden', 'coat'];
        $plan = self::plan($figure, 'banner');
        $area = $kind->where === 'whole' ? null : $plan->request->sculpt->area($key);
        $asks = fn (Checkpoint $c): bool => in_array($kind->key, $c->faults, true) &&
            ($area === null || in_array($key, $c->areas, true));
        $list = new CheckList($plan, InspectionTest::faults(), [View::Front]);
        self::assertNotSame([], array_filter($list->checkpoints(), $asks));
        foreach (self::TIERS as $tier) {
            foreach (Spread::cases() as $spread) {
                $this->weighs($kind, self::plan($figure, $tier), $area, $spread);
            }
        }
        if ($kind->key === 'grainy_undercoat') {
            return;
        }
        $steps = (new Repair($plan))->of($kind, $area, Spread::Patch, false);
        $told = array_map(
            fn (RepairStep $s) => $s->technique->key.($s->area?->key === $key ? '' : '@'.($s->area->key ?? 'all')),
            // What strays is another test's.
            array_filter($steps, fn (RepairStep $s) => $s->why !== \Ordotype\Core\Inspection\RepairWhy::Strayed),
        );
        self::assertSame(self::REPAIRS[$kind->key], implode(' ', $told));
        if ($steps !== [] && ! in_array('matt_varnish', $kind->first, true)) {
            $last = array_slice((new Repair($plan))->of($kind, $area, Spread::Patch, true), -1)[0];
            self::assertSame('matt_varnish', $last->technique->key, 'what was protected is protected again');
        }
    }

    /** By the table, the tier, the distance and the focus; nothing of it is taken from the code that is tested. */
    private function weighs(FaultKind $kind, Plan $plan, ?Area $area, Spread $spread): void
    {
        $tier = $plan->request->tier;
        $sculpt = $plan->request->sculpt;
        $isHero = in_array($sculpt->role->value, ['hero', 'centrepiece'], true);
        $expected = $tier->faults[$kind->key] ?? ($isHero ? $kind->heroSeverity : null) ?? $kind->severity;
        if ($expected === Severity::Minor && $area?->focus === 3) {
            $expected = Severity::Major;
        }
        if ($kind->bySize && $area !== null) {
            [$w, $h] = $sculpt->frameMm ?? [60, 80];
            $sizes = [];
            foreach ($area->outline as $rings) {
                foreach ($rings as $ring) {
                    $xs = array_column($ring, 0);
                    $ys = array_column($ring, 1);
                    $box = [(max($xs) - min($xs)) * $w, (max($ys) - min($ys)) * $h];
                    $sizes[] = [$box[0] * $box[1], min($box)];
                }
            }
            sort($sizes);
            $s = $sizes[0][1];
            $spot = min($s, max(1, min(3, $s / 8)));
            $mm = match ($spread) {
                Spread::Spot => $spot,
                Spread::Patch => max($spot, $s / 4),
                Spread::Whole => $s,
            };
            $noticed = 2 * 10 * $tier->viewing->distanceCm * tan(deg2rad($tier->viewing->angleArcmin / 60) / 2);
            $expected = match (true) {
                $mm < $noticed => null,
                $mm < 3 * $noticed => Severity::Minor,
                default => $expected,
            };
        }
        $judged = Judgement::of($kind, $tier, $sculpt, $area, new Method([]), null, $spread, null);
        self::assertSame($expected, $judged->severity, "$kind->key at $tier->name, $spread->value");
    }

    public function test_a_grainy_undercoat_is_stripped_and_all_of_it_painted_again(): void
    {
        $plan = self::plan('sluice-warden', 'banner');
        $steps = (new Repair($plan))->of(InspectionTest::faults()->kind('grainy_undercoat'), null, Spread::Whole, false);
        self::assertSame(
            ['mould_line_removal', 'prime_brush'],
            array_map(fn (RepairStep $s) => $s->technique->key, array_slice($steps, 0, 2)),
        );
        foreach ($plan->request->sculpt->areas as $area) {
            $here = array_filter($steps, fn (RepairStep $s) => $s->area?->key === $area->key);
            self::assertNotSame([], $here, "$area->key is painted again");
        }
        $minutes = array_sum(array_map(fn (RepairStep $s) => $s->minutes, $steps));
        self::assertGreaterThan(0.8 * $plan->minutesByPasses(), $minutes, 'so that one sees it is as much as all of it');
    }

    public function test_what_is_missing_is_done_and_what_follows_it_and_no_more(): void
    {
        $plan = self::plan('sluice-warden', 'banner');
        $coat = $plan->request->sculpt->area('coat');
        $asked = array_values(array_filter(
            $plan->area('coat')->demand->requirements,
            fn ($r) => $r instanceof EffectRequirement && $r->subject() === 'highlight_edge',
        ))[0];
        $kind = InspectionTest::faults()->kind('missing_technique');
        $steps = (new Repair($plan))->of($kind, $coat, Spread::Whole, false, $asked);
        self::assertSame(
            ['edge_highlight', 'dark_lining'],
            array_map(fn (RepairStep $s) => $s->technique->key, $steps),
        );
        // Of the whole model: what was not put on is put on.
        $varnish = array_values(array_filter(
            $plan->whole->demand->requirements,
            fn ($r) => $r instanceof EffectRequirement && $r->subject() === 'protect',
        ))[0];
        $whole = (new Repair($plan))->of($kind, null, Spread::Whole, false, $varnish);
        self::assertSame(['matt_varnish'], array_map(fn (RepairStep $s) => $s->technique->key, $whole));
    }

    private static function plan(string $figure, string $tier): Plan
    {
        static $plans = [];
        $standard = Demo::standard();

        return $plans["$figure $tier"] ??= Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier($tier), Demo::sculpt($figure)),
        );
    }
}
