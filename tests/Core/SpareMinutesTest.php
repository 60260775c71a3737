<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Plan\Extra;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\SpareMinutes;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;
use Tests\Support\RandomCase;

final class SpareMinutesTest extends TestCase
{
    public function test_what_spare_minutes_buy_equals_trying_everything(): void
    {
        $bought = 0;
        for ($seed = 1; $seed <= 400; $seed++) {
            $plan = Demo::planner()->plan((new RandomCase($seed))->request());
            if ($plan->conflicts() !== []) {
                continue;
            }
            $spare = new SpareMinutes($plan);
            foreach ([3.0, 10.0, 40.0] as $minutes) {
                $buys = $spare->buy($minutes);
                $used = array_sum(array_map(fn (Extra $e) => $e->minutes, $buys));
                self::assertLessThanOrEqual($minutes + 1e-9, $used, "seed $seed");
                [$notice, $least] = self::most($plan, $spare->extras(), $minutes);
                self::assertEqualsWithDelta(
                    $notice,
                    array_sum(array_map(fn (Extra $e) => $e->notice, $buys)),
                    1e-6,
                    "seed $seed, $minutes minutes",
                );
                self::assertEqualsWithDelta(
                    $least,
                    $used,
                    1e-6,
                    "seed $seed, $minutes minutes: the same notice in the fewest minutes",
                );
                $bought += count($buys);
            }
        }
        self::assertGreaterThan(200, $bought);
    }

    public function test_the_best_within_the_minutes_never_passes_the_ceiling_and_gives_nothing_away_that_is_on_request(): void
    {
        $standard = Demo::standard();
        foreach (['muster', 'company', 'banner', 'cabinet'] as $key) {
            $request = new PlanRequest($standard, $standard->tier($key), Demo::sculpt('lantern-provost'));
            [$quick, $best] = [
                Demo::planner()->withAim($request, Aim::Quickest),
                Demo::planner()->withAim($request, Aim::Best),
            ];
            $ceiling = $quick->whole->demand->ofModel(ModelFigure::Minutes)?->max;
            self::assertNotNull($ceiling);
            self::assertGreaterThan($quick->minutesByPasses(), $best->minutesByPasses(), $key);
            self::assertLessThanOrEqual($ceiling, $best->minutesByPasses(), $key);
            foreach ($best->areas as $i => $planned) {
                foreach ($planned->choice->techniques ?? [] as $used) {
                    self::assertTrue(
                        isset($planned->demand->allowed[$used->technique->key]) ||
                            $quick->areas[$i]->choice?->uses($used->technique->key) === true,
                        $used->technique->key,
                    );
                }
            }
            foreach ($best->requirements as $state) {
                self::assertNotContains($state->state, [Standing::Short, Standing::Over, Standing::Conflict]);
            }
        }
        $open = new PlanRequest($standard, $standard->tier('exhibition'), Demo::sculpt());
        self::assertSame(
            Demo::planner()->withAim($open, Aim::Quickest)->minutesByPasses(),
            Demo::planner()->withAim($open, Aim::Best)->minutesByPasses(),
            'no ceiling: the quickest',
        );
    }

    public function test_no_minutes_buy_nothing_and_notice_follows_focus_share_and_effect(): void
    {
        $standard = Demo::standard();
        $plan = Demo::planner()->plan(new PlanRequest($standard, $standard->tier('company'), Demo::sculpt()));
        self::assertSame([], (new SpareMinutes($plan))->buy(0.4));
        $coat = Demo::sculpt()->area('coat');
        $edges = SpareMinutes::notice($coat, $standard->technique('edge_highlight'));
        self::assertSame([1.0, 2.0, 4.0, 8.0][$coat->focus] * $coat->sharePct, $edges);
        self::assertSame(0.8 * $edges, SpareMinutes::notice($coat, $standard->technique('dark_lining')));
    }

    public function test_what_is_proposed_is_what_a_higher_rung_does_there(): void
    {
        $proposed = 0;
        $standard = Demo::standard();
        foreach (['muster', 'company', 'banner', 'cabinet'] as $key) {
            foreach (['sluice-warden', 'mudlark', 'lantern-provost', 'bell-diver'] as $figure) {
                $plan = Demo::planner()->plan(
                    new PlanRequest($standard, $standard->tier($key), Demo::sculpt($figure)),
                );
                $glows = array_filter($plan->request->sculpt->areas, fn (Area $a) => $a->material === Material::Glow);
                $lit = array_merge(...array_map(fn (Area $a) => [$a->key, ...$a->touches], array_values($glows)));
                foreach (array_merge(...(new SpareMinutes($plan))->extras()) as $extra) {
                    $where = "$figure at $key: {$extra->technique()->key} on {$extra->area->key}";
                    $isSmooth = in_array(
                        $extra->area->material,
                        [Material::Eye, Material::TeethClaw, Material::GemLens],
                        true,
                    );
                    self::assertFalse(
                        $isSmooth && $extra->technique()->givesAny(Effect::HighlightEdge, Effect::Texture),
                        $where,
                    );
                    self::assertGreaterThanOrEqual(2, $extra->technique()->suit($extra->area->relief), $where);
                    if ($extra->technique()->has(Effect::Glow)) {
                        $touches = array_intersect($extra->area->touches, array_map(fn (Area $a) => $a->key, $glows));
                        self::assertTrue(in_array($extra->area->key, $lit, true) || $touches !== [], $where);
                    }
                    $proposed++;
                }
            }
        }
        self::assertGreaterThan(100, $proposed);
    }

    /** @param  list<string>  $expected */
    #[DataProvider('rungs')]
    public function test_more_is_read_off_the_rungs_above(string $tier, array $expected): void
    {
        $allowed = fn (string ...$keys): array => array_map(
            fn (string $key) => ['kind' => 'technique', 'technique' => $key, 'status' => 'allowed'],
            $keys,
        );
        $light = ['kind' => 'effect', 'effect' => 'highlight_raised', 'by' => ['glaze_light']];
        $standard = Demo::ladderOf(
            [
                'low' => $allowed('base_coat', 'glaze', 'layer', 'stipple', 'glaze_light', 'edge_highlight'),
                'retired' => $allowed('base_coat', 'stipple'),
                'high' => [...$allowed('base_coat', 'layer', 'dark_lining', 'glaze_light'), $light],
            ],
            [
                'low' => ['default_status' => 'not_offered'],
                'retired' => ['status' => 'retired', 'default_status' => 'not_offered'],
                'high' => ['default_status' => 'not_offered'],
            ],
        );
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier($tier),
                Demo::sculptOf(['coat' => ['relief' => ['soft_folds']]]),
            ),
        );
        $extras = array_merge(...(new SpareMinutes($plan))->extras());
        $found = array_map(fn (Extra $e) => $e->technique()->key, $extras);
        sort($found);
        self::assertSame($expected, $found);
    }

    /** @return array<string, array{string, list<string>}> */
    public static function rungs(): array
    {
        return [
            'only what a higher offered rung does: not what a retired one does' => [
                'low',
                ['glaze_light', 'layer', 'tidy_base'],
            ],
            'nothing above it: what it does itself' => ['high', ['dark_lining', 'layer', 'tidy_base']],
        ];
    }

    /**
     * @param  list<list<Extra>>  $groups
     * @return array{float, float} the most notice within the minutes, and the least that takes
     */
    private static function most(Plan $plan, array $groups, float $cap): array
    {
        $best = [[0.0, 0.0]];
        foreach ($groups as $extras) {
            $sets = [[]];
            foreach ($extras as $i => $one) {
                $sets[] = [$one];
                foreach (array_slice($extras, $i + 1) as $other) {
                    $sets[] = [$one, $other];
                }
            }
            $next = [];
            foreach ($sets as $set) {
                if ($set !== [] && ! self::permitted($plan, $set)) {
                    continue;
                }
                foreach ($best as [$notice, $minutes]) {
                    $minutes += array_sum(array_map(fn (Extra $e) => $e->minutes, $set));
                    if ($minutes <= $cap + 1e-9) {
                        $next[] = [$notice + array_sum(array_map(fn (Extra $e) => $e->notice, $set)), $minutes];
                    }
                }
            }
            $best = $next;
        }
        usort($best, fn (array $a, array $b) => abs($a[0] - $b[0]) > 1e-7 ? $b[0] <=> $a[0] : $a[1] <=> $b[1]);

        return $best[0];
    }

    /** @param  non-empty-list<Extra>  $set */
    private static function permitted(Plan $plan, array $set): bool
    {
        $area = $set[0]->area;
        $planned = $plan->areas[$plan->request->sculpt->place($area->key)];
        $all = [...$planned->choice->techniques ?? [], ...array_map(fn (Extra $e) => $e->use, $set)];
        $credits = 0;
        $tidied = $wash = $light = $leans = false;
        foreach ($all as $i => $one) {
            $credits += $one->extent->value >= Extent::Prominent->value ? $one->technique->credit * $one->passes : 0;
            $tidied =
                $tidied ||
                $one->technique->key === 'tidy_base' ||
                ($one->technique->key === 'layer' && $one->extent === Extent::Full);
            $wash = $wash || $one->technique->key === 'wash_all_over';
            $light = $light || $one->technique->givesAny(Effect::HighlightEdge, Effect::HighlightRaised);
            foreach ($all as $j => $other) {
                if (
                    $i !== $j &&
                    in_array($other->technique->key, $one->technique->excludes, true) &&
                    $one->extent !== Extent::Spot &&
                    $other->extent !== Extent::Spot
                ) {
                    return false;
                }
            }
            foreach ($one->technique->needs as $need) {
                if (
                    array_filter(
                        $all,
                        fn (ChosenTechnique $o, int $j) => $j !== $i && $o->technique->givesAny($need),
                        ARRAY_FILTER_USE_BOTH,
                    ) === []
                ) {
                    return false;
                }
            }
            $suit = $one->technique->suit($area->relief);
            $grade =
                $one->technique->grade === null || $one->technique->family->value === 'mark'
                    ? 5
                    : max(1, min(5, $one->technique->grade + ($suit === 3 ? 1 : ($suit === 1 ? -1 : 0))));
            $leans =
                $leans ||
                ($one->technique->tidied &&
                    $grade < $planned->gradeBar &&
                    $i >= count($planned->choice->techniques ?? []));
        }
        $most = $planned->demand->steps()?->max;

        return ($most === null || $credits <= $most) &&
            ($tidied || (! ($wash && $light && $plan->request->tier->pace !== Pace::Fast) && ! $leans));
    }
}
