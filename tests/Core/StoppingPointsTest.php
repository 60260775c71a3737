<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Planning\Demand\EffectRequirement;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Outlook\StoppingPoint;
use Ordotype\Core\Planning\Outlook\StoppingPoints;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Asked;
use Tests\Support\Demo;

final class StoppingPointsTest extends TestCase
{
    private static ?Standard $standard = null;

    public function test_every_stop_equals_trying_every_set_of_steps(): void
    {
        $found = $none = 0;
        for ($seed = 1; $seed <= 220; $seed++) {
            $plan = self::smallPlan($seed);
            if ($plan === null) {
                continue;
            }
            $before = [];
            foreach (array_slice((new StoppingPoints($plan))->all(), 0, -1) as $point) {
                $least = self::leastOf($plan, $point->tier, $before);
                $where = "seed $seed, {$point->tier->key}";
                if ($point->steps === null) {
                    // No set meets the tier, or only all of the work does.
                    self::assertTrue($least === null || count($least) === count(self::paint($plan)), $where);
                    $none++;

                    continue;
                }
                self::assertSame($least, $point->steps, $where);
                self::assertSame([], array_diff($before, $point->steps), "$where holds the stop before it");
                $before = $point->steps;
                $found++;
            }
        }
        self::assertGreaterThan(60, $found);
        self::assertGreaterThan(3, $none);
    }

    public function test_what_an_order_adds_is_asked_of_no_lower_stop(): void
    {
        $standard = self::$standard ??= Demo::standard();
        $added = AmendmentFormat::read(Demo::object([[
            'level' => 'order', 'do' => 'add', 'clause' => null, 'technique' => 'ground_dusting', 'scope' => ['area' => ['coat']],
            'values' => (object) [], 'reason' => 'The client asked for it.', 'price' => null, 'on' => null,
        ]]), $standard->techniqueKeys());
        $request = new PlanRequest($standard, $standard->tier('banner'), Demo::sculpt(), amendments: $added);
        $plan = Demo::planner()->plan($request);
        $dust = array_search('coat:ground_dusting:1', array_map(fn (Step $s) => $s->key()->id, $plan->work->steps), true);
        self::assertIsInt($dust);
        $stops = (new StoppingPoints($plan))->all();
        $lower = array_filter(array_slice($stops, 0, -1), fn (StoppingPoint $p) => $p->steps !== null);
        self::assertNotSame([], $lower);
        foreach ($lower as $stop) {
            self::assertNotContains($dust, $stop->steps ?? [], $stop->tier->name);
        }
        self::assertContains($dust, $stops[count($stops) - 1]->steps ?? []);
    }

    public function test_the_order_of_work_is_laid_out_in_the_stops(): void
    {
        $standard = Demo::standard();
        foreach (['sluice-warden', 'lantern-provost', 'ferry-gun'] as $figure) {
            $plan = Demo::planner()->plan(
                new PlanRequest(
                    $standard,
                    $standard->tier('cabinet'),
                    Demo::sculpt($figure),
                    Demo::scheme(),
                    shelf: Demo::shelf(),
                ),
            );
            $stops = new StoppingPoints($plan);
            $points = $stops->all();
            self::assertSame(
                ['muster', 'company', 'banner', 'cabinet'],
                array_map(fn (StoppingPoint $p) => $p->tier->key, $points),
            );
            $order = array_map(fn (Step $s) => $s->key()->id, $stops->laidOut($points)->steps);
            self::assertEqualsCanonicalizing(array_map(fn (Step $s) => $s->key()->id, $plan->work->steps), $order);
            $minutes = 0.0;
            foreach ($points as $point) {
                self::assertNotNull($point->steps, $point->tier->key);
                $keys = array_map(fn (int $i) => $plan->work->steps[$i]->key()->id, $point->steps);
                self::assertEqualsCanonicalizing(
                    $keys,
                    array_slice($order, 0, count($keys)),
                    "$figure, {$point->tier->key}",
                );
                self::assertGreaterThan($minutes, $point->minutes);
                $minutes = $point->minutes;
            }
            self::assertEqualsWithDelta($plan->minutesByArea(), $minutes, 1e-9);
        }
    }

    public function test_where_there_is_no_stop_the_rule_or_the_requirement_is_named(): void
    {
        $clauses = fn (string $tier, array $list): array => array_map(
            fn (array $c, int $i) => $c + ['id' => "$tier.$i"],
            $list,
            array_keys($list),
        );
        $tier = fn (string $key, int $order, array $list): array => [
            'key' => $key,
            'name' => ucfirst($key),
            'order' => $order,
            'status' => 'offered',
            'intent' => '',
            'pace' => 'fast',
            'aim' => 'quickest',
            'default_status' => 'allowed',
            'viewing' => ['distance_cm' => 60, 'angle_arcmin' => 2],
            'clauses' => $clauses($key, $list),
        ];
        $ladder = function (array $low, array $high) use ($tier): Standard {
            $document = Demo::json('standards/five-rungs.json');
            assert($document instanceof \stdClass);
            $document->prices = [];
            $document->tiers = Demo::object([$tier('low', 1, $low), $tier('high', 2, $high)]);

            return \Ordotype\Core\Format\StandardFormat::read($document);
        };
        $ground = ['kind' => 'effect', 'effect' => 'ground_colour', 'scope' => ['rank' => ['ground']]];
        $edges = ['kind' => 'effect', 'effect' => 'highlight_edge', 'scope' => ['area' => ['coat']]];
        $sculpt = Demo::sculptOf([
            'coat' => ['relief' => ['hard_edges']],
            'ground' => ['material' => 'ground', 'relief' => ['ground'], 'rank' => 'ground'],
        ]);
        $low = fn (Standard $s, array $method = []): StoppingPoint => (new StoppingPoints(
            Demo::planner()->plan(
                new PlanRequest(
                    $s,
                    $s->tier('high'),
                    $sculpt,
                    null,
                    MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
                ),
            ),
        ))->all()[0];
        $standard = $ladder([$ground], [$ground, $edges]);
        self::assertNotNull($low($standard)->steps);
        $last = $low($standard, ['ground' => 'last']);
        self::assertNull($last->steps);
        self::assertSame(Rule::GroundPolicy, $last->obstacle?->rule);
        $short = $low(
            $ladder([['kind' => 'effect', 'effect' => 'shade', 'scope' => ['area' => ['coat']]]], [$edges]),
        );
        self::assertNull($short->steps);
        self::assertSame(['shade', 'coat'], [$short->obstacle?->asked?->subject(), $short->obstacle?->area?->key]);
    }

    private static function smallPlan(int $seed): ?Plan
    {
        $random = new Randomizer(new Mt19937($seed));
        $pick = fn (array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $areas = [];
        for ($i = 0, $count = $random->getInt(1, 3); $i < $count; $i++) {
            $areas["a$i"] = [
                'material' => $pick(['cloth', 'leather', 'steel', 'wood', 'skin']),
                'relief' => [$pick(['hard_edges', 'soft_folds', 'fine_texture'])],
                'rank' => $pick(['main', 'secondary']),
                'layer' => $random->getInt(0, 3),
                'touches' => $i > 0 ? ['a'.($i - 1)] : [],
            ];
        }
        $standard = self::$standard ??= Demo::standard();
        $method = $pick([[], [], [], ['metals' => 'last'], ['metals' => 'first']]);
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier($pick(['company', 'banner', 'cabinet'])),
                Demo::sculptOf($areas),
                null,
                MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
            ),
        );

        return $plan->conflicts() !== [] || $plan->work->cycles !== [] || count(self::paint($plan)) > 15
            ? null
            : $plan;
    }

    /** @return list<int> steps that do not merely finish the piece */
    private static function paint(Plan $plan): array
    {
        return array_keys(
            array_filter(
                $plan->work->steps,
                fn (Step $s) => ! in_array(
                    $s->phase,
                    [
                        Phase::MattVarnish,
                        Phase::GroundPlants,
                        Phase::Gloss,
                        Phase::Join,
                        Phase::JointTidy,
                        Phase::Rim,
                        Phase::Check,
                    ],
                    true,
                ),
            ),
        );
    }

    /**
     * The lightest closed set that holds the one before and meets the tier, by trying all.
     *
     * @param  list<int>  $before
     * @return list<int>|null
     */
    private static function leastOf(Plan $plan, Tier $tier, array $before): ?array
    {
        $steps = $plan->work->steps;
        $paint = self::paint($plan);
        $asks = Demo::planner()->asks($plan->request->at($tier));
        $whole = $asks->whole;
        $demands = array_map(fn ($a) => $a->demand, $asks->areas);
        $needs = [];
        foreach (WorkOrder::of($plan->request)->rules($plan->work->steps)->reversed() as $later => $earlier) {
            // Inner areas need not be finished first where work stops.
            $closing = array_filter($earlier, fn (array $rules) => array_keys($rules) !== [Rule::InnerFinished->value]);
            $needs[$later] = array_values(array_intersect(array_keys($closing), $paint));
        }
        $given = [];
        foreach ($plan->whole->choice->techniques ?? [] as $used) {
            array_push($given, ...array_map(Effect::from(...), array_keys($used->technique->effects)));
        }
        $best = null;
        $least = INF;
        if (count($plan->sprayed) < ($whole->demand->ofModel(ModelFigure::SprayedColours)->min ?? 0)) {
            return null;
        }
        for ($bits = 0; $bits < 1 << count($paint); $bits++) {
            $set = [];
            foreach ($paint as $k => $i) {
                if ((($bits >> $k) & 1) === 1) {
                    $set[$i] = true;
                }
            }
            $minutes = array_sum(array_map(fn (int $i) => $steps[$i]->minutes, array_keys($set)));
            if (
                $minutes > $least + 1e-9 ||
                ($minutes > $least - 1e-9 && $best !== null && count($set) >= count($best))
            ) {
                continue;
            }
            foreach ([...array_keys($set)] as $i) {
                if (array_diff($needs[$i], array_keys($set)) !== []) {
                    continue 2;
                }
            }
            if (array_diff($before, array_keys($set)) !== []) {
                continue;
            }
            foreach ($demands as $demand) {
                if (
                    $demand->area !== null &&
                    ! self::meets(
                        $steps,
                        $set,
                        $demand->area->key,
                        $demand->requirements,
                        $demand->area->rank !== Rank::Ground,
                        $tier,
                        $given,
                    )
                ) {
                    continue 2;
                }
            }
            foreach ($whole->demand->requirements as $requirement) {
                foreach ($steps as $i => $step) {
                    if (
                        $step->area === null &&
                        ! isset($set[$i]) &&
                        in_array($i, $paint, true) &&
                        $step->sprays === [] &&
                        (Asked::of($requirement)->technique === $step->technique->key ||
                            ($requirement instanceof EffectRequirement && $requirement->isServedBy($step->technique)))
                    ) {
                        continue 3;
                    }
                }
            }
            $best = array_keys($set);
            $least = $minutes;
        }

        return $best;
    }

    /**
     * @param  list<Step>  $steps
     * @param  array<int, true>  $set
     * @param  list<\Ordotype\Core\Planning\Demand\Requirement>  $requirements
     * @param  list<Effect>  $given
     */
    private static function meets(
        array $steps,
        array $set,
        string $area,
        array $requirements,
        bool $needsBase,
        Tier $tier,
        array $given,
    ): bool {
        /** @var list<Step> $mine */
        $mine = [];
        $finish = [];
        foreach ($steps as $i => $step) {
            if ($step->area?->key === $area) {
                if (isset($set[$i])) {
                    $mine[] = $step;
                } elseif (in_array($step->phase, [Phase::Gloss, Phase::Rim], true)) {
                    $finish[] = $step;
                }
            }
        }
        foreach (Asked::all($requirements) as $r) {
            if ($r->met(Asked::usesOf([...$mine, ...$finish])) < $r->least()) {
                return false;
            }
        }
        $is = fn (Technique $t, Effect ...$effects): bool => $t->givesAny(...$effects);
        if ($needsBase && count(array_filter($mine, fn (Step $s) => $is($s->technique, Effect::BaseColour))) !== 1) {
            return false;
        }
        $tidied =
            array_filter(
                $mine,
                fn (Step $s) => $s->technique->key === 'tidy_base' ||
                    ($s->technique->key === 'layer' && $s->extent === Extent::Full),
            ) !== [];
        $washed = array_filter($mine, fn (Step $s) => $s->technique->key === 'wash_all_over') !== [];
        $lit =
            array_filter($mine, fn (Step $s) => $is($s->technique, Effect::HighlightRaised, Effect::HighlightEdge)) !==
            [];
        if ($washed && $lit && ! $tidied && $tier->pace !== Pace::Fast) {
            return false;
        }
        $bar = ['fast' => 1, 'even' => 3, 'finest' => 4][$tier->pace->value];
        foreach ($mine as $step) {
            $suit = $step->technique->suit($step->area->relief ?? []);
            $grade =
                $step->technique->grade === null
                    ? 5
                    : max(1, min(5, $step->technique->grade + [3 => 1, 2 => 0, 1 => -1][$suit]));
            if ($step->technique->tidied && $grade < $bar && ! $tidied) {
                return false;
            }
            foreach ($step->technique->needs as $effect) {
                if (
                    ! in_array($effect, $given, true) &&
                    array_filter(
                        $mine,
                        fn (Step $o) => $o->technique->key !== $step->technique->key && $is($o->technique, $effect),
                    ) === []
                ) {
                    return false;
                }
            }
        }

        return true;
    }
}
