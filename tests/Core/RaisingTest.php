<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Demand\RequirementKind;
use Ordotype\Core\Planning\Demand\TechniqueRequirement;
use Ordotype\Core\Planning\Outlook\RaisedArea;
use Ordotype\Core\Planning\Outlook\Raising;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Asked;
use Tests\Support\BruteForce;
use Tests\Support\Demo;
use Tests\Support\RandomCase;

final class RaisingTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function figures(): iterable
    {
        yield from [
            'warden' => ['sluice-warden'],
            'provost' => ['lantern-provost'],
            'mudlark' => ['mudlark'],
            'diver' => ['bell-diver'],
            'toad' => ['reedback-toad'],
            'gun' => ['ferry-gun'],
        ];
    }

    #[DataProvider('figures')]
    public function test_from_nothing_it_is_the_plan_and_to_the_tier_it_meets_nothing_is_added(string $figure): void
    {
        $standard = Demo::standard();
        foreach (['muster', 'company', 'banner', 'cabinet', 'centrepiece'] as $tier) {
            $request = new PlanRequest($standard, $standard->tier($tier), Demo::sculpt($figure));
            $plan = Demo::planner()->plan($request);
            $from = (new Raising($request, []))->areas();
            self::assertEqualsWithDelta(
                array_sum(array_map(fn ($a) => $a->minutes() ?? 0.0, $plan->areas)),
                array_sum(array_map(fn (RaisedArea $a) => $a->minutes(), $from)),
                1e-9,
            );
            $same = new Raising($request, Raising::workOf($plan));
            self::assertSame(
                [],
                array_filter(
                    $same->areas(),
                    fn (RaisedArea $a) => $a->added !== [] || $a->lost !== [] || $a->over > 0,
                ),
                $tier,
            );
            self::assertSame([], $same->whole());
        }
    }

    public function test_raising_costs_less_than_starting_anew_and_names_the_varnish(): void
    {
        $standard = Demo::standard();
        $request = new PlanRequest($standard, $standard->tier('banner'), Demo::sculpt('lantern-provost'));
        $done = Raising::workOf(
            Demo::planner()->plan(
                new PlanRequest($standard, $standard->tier('company'), Demo::sculpt('lantern-provost')),
            ),
        );
        $raising = new Raising($request, $done);
        $added = array_sum(array_map(fn (RaisedArea $a) => $a->minutes(), $raising->areas()));
        self::assertGreaterThan(10.0, $added);
        self::assertLessThan(
            array_sum(array_map(fn ($a) => $a->minutes() ?? 0.0, Demo::planner()->plan($request)->areas)),
            $added,
        );
        self::assertTrue($raising->isVarnished());
        foreach ($raising->areas() as $area) {
            foreach ($area->added as $used) {
                self::assertNotSame('spray', $used->technique->family->value);
            }
        }
        self::assertNotContains(
            'undercoat',
            array_map(fn (ChosenTechnique $u) => $u->technique->family->value, $raising->whole()),
        );
    }

    public function test_a_base_below_the_bar_is_painted_anew_by_brush(): void
    {
        $figure = Demo::sculptOf(['coat' => []]);
        $fine = Demo::tierOf([['kind' => 'steps', 'min' => 2, 'max' => null]], ['pace' => 'finest']);
        $rough = array_search('speed_base', array_map(fn ($t) => $t->key, $fine->techniques), true);
        $technique =
            $rough === false
                ? array_values(
                    array_filter(
                        $fine->techniques,
                        fn ($t) => $t->has(Effect::BaseColour) &&
                            ! $t->whole &&
                            ! $t->tidied &&
                            $t->grade !== null &&
                            $t->grade <= 2 &&
                            $t->suit($figure->areas[0]->relief) > 0,
                    ),
                )[0] ?? null
                : $fine->techniques[$rough];
        self::assertNotNull($technique, 'the catalogue has a rough base');
        $request = new PlanRequest($fine, $fine->tier('tier'), $figure);
        $index = (int) array_search($technique, $fine->techniques, true);
        $raised = (new Raising($request, [
            'coat' => [new ChosenTechnique($technique, $index, Extent::Full, [1.0])],
        ]))->areas()[0];
        self::assertTrue($raised->repainted);
        self::assertSame([$technique->key], array_map(fn (ChosenTechnique $u) => $u->technique->key, $raised->lost));
    }

    public function test_what_is_added_equals_trying_everything(): void
    {
        $tried = $added = $covered = $anew = $bare = 0;
        for ($seed = 1; $seed <= 4000; $seed++) {
            $case = new RandomCase($seed);
            $document = $case->standard(5);
            $figure = $case->figure();
            $low = Json::decode(str_replace('"tier.', '"low.', Json::encode($document->tiers[0])));
            assert($low instanceof stdClass);
            [$low->key, $low->pace] = ['low', 'fast'];
            $low->clauses = array_values(
                array_filter($low->clauses, fn (int $i) => $i % 2 === $seed % 2, ARRAY_FILTER_USE_KEY),
            );
            $document->tiers[] = $low;
            $standard = StandardFormat::read($document);
            $done = [];
            foreach (
                Demo::planner()->choose(new PlanRequest($standard, $standard->tier('low'), $figure))->areas as $planned
            ) {
                $done[(string) $planned->demand->area?->key] = $planned->choice->techniques ?? [];
            }
            if ($seed % 4 === 0) {
                // Begun, but not yet given its base.
                $done = array_map(
                    fn (array $list) => array_values(
                        array_filter(
                            $list,
                            fn (ChosenTechnique $u) => Phase::of($u->technique)->value < Phase::Base->value,
                        ),
                    ),
                    $done,
                );
            }
            if (array_filter($done) === []) {
                continue;
            }
            $request = new PlanRequest($standard, $standard->tier('tier'), $figure);
            foreach ((new Raising($request, $done))->areas() as $raised) {
                $area = $raised->demand->area;
                assert($area !== null);
                $expected = self::least($request, $raised->demand, $done[$area->key]);
                if ($expected === null) {
                    self::assertTrue(
                        $raised->repainted || $raised->conflict !== null || $done[$area->key] === [],
                        "seed $seed, $area->key",
                    );
                    $anew++;

                    continue;
                }
                [$minutes, $bar] = $expected;
                self::assertSame($bar, $raised->gradeBar, "seed $seed, $area->key");
                self::assertEqualsWithDelta($minutes, $raised->minutes(), 1e-9, "seed $seed, $area->key");
                $tried++;
                $bare += $area->rank->value !== 'ground' && self::bases($done[$area->key]) === 0 ? 1 : 0;
                $added += $raised->added === [] ? 0 : 1;
                $covered += $raised->lost !== [] && $raised->added !== [] ? 1 : 0;
            }
        }
        self::assertGreaterThan(250, $tried);
        self::assertGreaterThan(80, $added);
        self::assertGreaterThan(8, $covered, 'some of it covers what was done');
        self::assertGreaterThan(0, $anew);
        self::assertGreaterThan(15, $bare, 'some of it had no base yet');
    }

    /**
     * The least added minutes and the bar, by trying every addition; null where the area has to start anew.
     *
     * @param  list<ChosenTechnique>  $done
     * @return array{float, int}|null
     */
    private static function least(PlanRequest $request, AreaDemand $demand, array $done): ?array
    {
        $area = $demand->area;
        assert($area !== null);
        $ground = $area->rank->value === 'ground';
        $base =
            array_values(
                array_filter($done, fn (ChosenTechnique $u) => $u->technique->has(Effect::BaseColour)),
            )[0] ?? null;
        if ($done === []) {
            return null;
        }
        $bare = $base === null && ! $ground;
        $grade = fn (ChosenTechnique $u) => $u->technique->grade === null ||
        ! in_array(
            $u->technique->family->value,
            ['spray', 'base', 'shade', 'highlight', 'blend', 'line', 'detail'],
            true,
        )
            ? 9
            : max(
                1,
                min(
                    5,
                    $u->technique->grade +
                        match ($u->technique->suit($area->relief)) {
                            3 => 1,
                            1 => -1,
                            default => 0,
                        },
                ),
            );
        $method = new MethodOnModel(new Method(), $request->sculpt, null, $request->shelf);
        $options = [];
        foreach ($request->standard->techniques as $index => $t) {
            if (! isset($demand->allowed[$t->key]) || (! $bare && $t->has(Effect::BaseColour))) {
                continue;
            }
            $candidate = Candidate::onArea($t, $index, $area, $request->sculpt, $request->tier->pace, $method);
            $before = array_sum(
                array_map(fn (ChosenTechnique $u) => $u->technique->key === $t->key ? $u->passes : 0, $done),
            );
            $levels = [null];
            foreach (
                $candidate->isAlwaysFull() ? [Extent::Full] : [Extent::Spot, Extent::Prominent, Extent::Full] as $extent
            ) {
                for ($passes = 1; $passes <= ($t->has(Effect::BaseColour) ? 1 : $t->maxPasses); $passes++) {
                    $levels[] = [
                        ChosenTechnique::of($candidate, $passes, $extent),
                        $before,
                    ];
                }
            }
            $options[] = $levels;
        }
        $required = array_map(fn ($r) => $r->technique, $demand->of(TechniqueRequirement::class));
        $anew = null;
        for (
            $bar = match ($request->tier->pace) {
                Pace::Fast => 1,
                Pace::Even => 3,
                Pace::Finest => 4,
            };
            $bar >= 1;
            $bar--
        ) {
            if ($base !== null && ! $ground && $grade($base) < $bar && ! $base->technique->tidied) {
                if (($anew ??= (new BruteForce($request, $area))->solve() ?? [INF, [], 0])[2] >= $bar) {
                    return null;
                }

                continue;
            }
            $least = INF;
            self::each($options, 0, [], function (array $picks) use (
                &$least,
                $done,
                $demand,
                $bar,
                $grade,
                $required,
                $request,
                $ground,
                $bare,
            ): void {
                $added = array_map(fn (array $p) => $p[0], $picks);
                $minutes = array_sum(array_map(fn (ChosenTechnique $u) => $u->minutes(), $added));
                if ($minutes >= $least - 1e-12) {
                    return;
                }
                $first = min([
                    PHP_INT_MAX,
                    ...array_map(
                        fn (ChosenTechnique $u) => Phase::of($u->technique)->value,
                        array_filter($added, fn (ChosenTechnique $u) => $u->technique->mess >= 1),
                    ),
                ]);
                $there = array_values(
                    array_filter($done, fn (ChosenTechnique $u) => Phase::of($u->technique)->value <= $first),
                );
                // A base is never put back under lights that stand.
                $stands = array_filter(
                    $there,
                    fn (ChosenTechnique $u) => in_array(
                        Phase::of($u->technique),
                        [Phase::RaisedLight, Phase::BlendAndTint, Phase::Tone, Phase::EdgeLight, Phase::PointLight],
                        true,
                    ) && ! (Phase::of($u->technique) === Phase::RaisedLight && $u->technique->mess >= 2),
                );
                $putsBack = array_filter($added, fn (ChosenTechnique $u) => $u->technique->key === 'tidy_base');
                if ($stands !== [] && $putsBack !== []) {
                    return;
                }
                $isClean = fn (ChosenTechnique $u) => $grade($u) >= $bar ||
                    in_array($u->technique->key, $required, true);
                foreach ($bare ? [true, false, null] : [true, false] as $rescue) {
                    $counted =
                        $rescue === null
                            ? []
                            : array_values(
                                array_filter(
                                    $there,
                                    fn (ChosenTechnique $u) => $isClean($u) ||
                                        ($rescue && $u->technique->tidied && $bar <= 4),
                                ),
                            );
                    if (self::holds($request, $demand, $counted, $picks, $added, $isClean, $ground)) {
                        $least = $minutes;
                    }
                }
            });
            if ($base !== null && ! $ground && $grade($base) < $bar) {
                // A stain below the bar is tidied, or the area is begun anew: whichever takes less.
                $anew ??= (new BruteForce($request, $area))->solve() ?? [INF, [], 0];
                $least = $anew[2] === $bar ? min($least, $anew[0]) : $least;
            }
            if ($least < INF) {
                return [$least, $bar];
            }
        }

        return null;
    }

    /**
     * @param  list<ChosenTechnique>  $counted
     * @param  list<array{ChosenTechnique, int}>  $picks
     * @param  list<ChosenTechnique>  $added
     * @param  callable(ChosenTechnique): bool  $isClean
     */
    private static function holds(
        PlanRequest $request,
        AreaDemand $demand,
        array $counted,
        array $picks,
        array $added,
        callable $isClean,
        bool $ground,
    ): bool {
        $all = [...$counted, ...$added];
        $countedKeys = array_map(fn (ChosenTechnique $u) => $u->technique->key, $counted);
        foreach ($picks as [$use, $before]) {
            if (
                $use->passes >
                $use->technique->maxPasses - (in_array($use->technique->key, $countedKeys, true) ? $before : 0)
            ) {
                return false;
            }
        }
        if (! $ground && self::bases($all) !== 1) {
            return false;
        }
        $tidied =
            array_filter(
                $all,
                fn (ChosenTechnique $u) => $u->technique->key === 'tidy_base' ||
                    ($u->technique->key === 'layer' && $u->extent === Extent::Full) ||
                    // Layers that are there tidied what they were laid on, wherever they stand out.
                    ($u->technique->key === 'layer' && in_array($u, $counted, true) && $u->extent !== Extent::Spot),
            ) !== [];
        $wash = array_filter($all, fn (ChosenTechnique $u) => $u->technique->key === 'wash_all_over') !== [];
        $light =
            array_filter(
                $all,
                fn (ChosenTechnique $u) => $u->technique->givesAny(Effect::HighlightRaised, Effect::HighlightEdge),
            ) !== [];
        foreach ($all as $use) {
            if (! $isClean($use) && ! ($use->technique->tidied && $tidied)) {
                return false;
            }
        }
        if ($wash && $light && ! $tidied && $request->tier->pace !== Pace::Fast) {
            return false;
        }
        foreach ($added as $i => $one) {
            foreach ([...$counted, ...array_slice($added, $i + 1)] as $other) {
                $apart =
                    in_array($other->technique->key, $one->technique->excludes, true) ||
                    in_array($one->technique->key, $other->technique->excludes, true);
                if (
                    $apart &&
                    $other->technique->key !== $one->technique->key &&
                    $one->extent !== Extent::Spot &&
                    $other->extent !== Extent::Spot
                ) {
                    return false;
                }
            }
            foreach ($one->technique->needs as $need) {
                if (
                    array_filter($all, fn (ChosenTechnique $u) => $u !== $one && $u->technique->givesAny($need)) === []
                ) {
                    return false;
                }
            }
        }
        foreach (Asked::all($demand->requirements) as $r) {
            $have = $r->met(Asked::uses($all));
            $want = $r->least();
            $before = array_sum(
                array_map(
                    fn (ChosenTechnique $u) => $u->extent === Extent::Spot ? 0 : $u->technique->credit * $u->passes,
                    $counted,
                ),
            );
            if (
                $have < $want ||
                ($r->kind === RequirementKind::Steps && $r->max !== null && $have > max($r->max, $before))
            ) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<ChosenTechnique>  $list */
    private static function bases(array $list): int
    {
        return count(array_filter($list, fn (ChosenTechnique $u) => $u->technique->has(Effect::BaseColour)));
    }

    /**
     * @param  list<list<array{ChosenTechnique, int}|null>>  $options
     * @param  list<array{ChosenTechnique, int}>  $picks
     * @param  callable(list<array{ChosenTechnique, int}>): void  $look
     */
    private static function each(array $options, int $i, array $picks, callable $look): void
    {
        if ($i === count($options)) {
            $look($picks);

            return;
        }
        foreach ($options[$i] as $level) {
            self::each($options, $i + 1, $level === null ? $picks : [...$picks, $level], $look);
        }
    }
}
