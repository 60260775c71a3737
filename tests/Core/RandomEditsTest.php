<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Planning\Choice\Candidate;
use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Planning\Demand\MethodOnModel;
use Ordotype\Core\Planning\Demand\RequirementKind;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Asked;
use Tests\Support\Demo;
use Tests\Support\OrderChecker;

/** Plans changed by hand at random: the report is counted again from the steps alone. */
final class RandomEditsTest extends TestCase
{
    private const SEEDS = 120;

    public function test_what_is_short_and_over_is_what_the_steps_lack_and_have_too_many_of(): void
    {
        $seen = ['short' => 0, 'over' => 0, 'met' => 0];
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $plan = self::edited($seed);
            foreach ($plan->requirements as $state) {
                $r = Asked::of($state->requirement);
                if (
                    $r->area === null ||
                    ! in_array(
                        $r->kind,
                        [RequirementKind::Steps, RequirementKind::Effect, RequirementKind::Technique],
                        true,
                    )
                ) {
                    continue;
                }
                $have = self::counted($plan, $r);
                [$least, $most] = $r->kind === RequirementKind::Steps ? [$r->min ?? 0, $r->max] : [$r->passes, null];
                $expected = match (true) {
                    $have < $least => ['short', (float) ($least - $have)],
                    $most !== null && $have > $most => ['over', (float) ($have - $most)],
                    default => ['met', 0.0],
                };
                self::assertSame(
                    $expected,
                    [$state->state?->value, $state->by],
                    "seed $seed: {$r->area} {$state->requirement->subject()}",
                );
                $seen[$expected[0]]++;
            }
        }
        self::assertGreaterThan(15, min($seen), (string) json_encode($seen));
    }

    public function test_a_step_that_is_called_surplus_can_go_and_one_that_is_not_is_missed(): void
    {
        $beyond = $spare = $missed = 0;
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $plan = self::edited($seed);
            $numbers = [];
            foreach ($plan->surplus as $surplus) {
                $numbers[$surplus->no] = true;
                $allowed = isset(
                    self::areaOf($plan, $surplus->step)->demand->allowed[$surplus->step->technique->key],
                );
                if (! $allowed) {
                    self::assertTrue(
                        $surplus->beyond,
                        "seed $seed: {$surplus->step->key()->id} is not offered there",
                    );
                }
                $surplus->beyond ? $beyond++ : $spare++;
            }
            // All of it taken out at once: nothing that was met is short then.
            $less = self::without($plan, array_keys($numbers));
            foreach ($plan->requirements as $i => $state) {
                $lack = fn (RequirementState $s): float => $s->state === Standing::Short ? $s->by : 0.0;
                if ($state->requirement->area !== null) {
                    self::assertLessThanOrEqual(
                        $lack($state),
                        $lack($less->requirements[$i]),
                        "seed $seed: {$state->requirement->area} {$state->requirement->subject()}",
                    );
                }
            }
            foreach ($less->work->steps as $no => $step) {
                // What is left cannot go as well: a second look finds nothing more, and taking a step out makes
                // something worse.
                if ($step->area !== null && $step->phase !== Phase::JointTidy && $no % 7 === 0) {
                    $missed += $less->surplus === [] ? 1 : 0;
                }
            }
            self::assertSame([], $less->surplus, "seed $seed");
        }
        self::assertGreaterThan(20, min($beyond, $spare, $missed), "$beyond beyond, $spare spare, $missed looked at");
    }

    public function test_an_edited_plan_is_laid_out_by_the_rules_too(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $plan = self::edited($seed);
            if ($plan->work->cycles === []) {
                self::assertSame([], OrderChecker::broken($plan, false), "seed $seed");
            }
            self::assertCount(
                count(array_unique(array_map(fn (Step $s) => $s->key()->id, $plan->work->steps))),
                $plan->work->steps,
                "seed $seed: a key twice",
            );
        }
    }

    public function test_minutes_of_an_edited_plan_are_those_of_its_steps(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $plan = self::edited($seed);
            foreach ($plan->areas as $planned) {
                $steps = array_filter(
                    $plan->work->steps,
                    fn (Step $s) => $s->area?->key === $planned->demand->area?->key && ! $s->isBeside(),
                );
                self::assertEqualsWithDelta(
                    $planned->minutes(),
                    array_sum(array_map(fn (Step $s) => $s->minutes, $steps)),
                    1e-9,
                    "seed $seed",
                );
            }
            $passes = array_sum(array_map(fn ($p) => $p->minutes, $plan->work->passes));
            self::assertEqualsWithDelta($passes, $plan->minutesByPasses(), 1e-9);
            // A pass saves all handlings but the dearest.
            $saved = 0.0;
            foreach ($plan->work->passes as $pass) {
                $handlings = array_map(fn (int $i) => $plan->work->steps[$i]->handling, $pass->steps);
                $saved += array_sum($handlings) - max($handlings);
            }
            self::assertEqualsWithDelta(
                $plan->minutesByArea() - $saved,
                $plan->minutesByPasses(),
                1e-9,
                "seed $seed",
            );
        }
    }

    /** A demo plan with techniques added, taken out or used otherwise on a few areas. */
    private static function edited(int $seed): Plan
    {
        $random = new Randomizer(new Mt19937($seed));
        $pick = fn (array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $standard = Demo::standard();
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier($pick(['muster', 'company', 'banner', 'cabinet'])),
                Demo::sculpt($pick(['sluice-warden', 'mudlark', 'lantern-provost'])),
                Demo::scheme(),
                shelf: Demo::shelf(),
            ),
        );
        $r = $plan->request;
        $method = new MethodOnModel($r->method, $r->sculpt, $r->scheme, $r->shelf);
        $edits = [];
        for ($n = $random->getInt(1, 4); $n > 0; $n--) {
            $area = $pick($r->sculpt->areas);
            $used = ($edits[$area->key] ?? $plan->areas[$r->sculpt->place($area->key)]->choice)->techniques ?? [];
            $way = $random->getInt(0, 3);
            if ($way === 0 && count($used) > 1) {
                array_splice($used, $random->getInt(0, count($used) - 1), 1);
            } else {
                $fitting = array_values(
                    array_filter(
                        $standard->techniques,
                        fn ($t) => FittingTechniques::fits($t, $area) &&
                            ! $t->has(Effect::BaseColour) &&
                            array_filter($used, fn ($u) => $u->technique->key === $t->key) === [],
                    ),
                );
                if ($fitting === []) {
                    continue;
                }
                $technique = $pick($fitting);
                $index = (int) array_search($technique, $standard->techniques, true);
                $extent = $pick([Extent::Spot, Extent::Prominent, Extent::Full]);
                $used[] = ChosenTechnique::of(
                    Candidate::onArea($technique, $index, $area, $r->sculpt, $r->tier->pace, $method),
                    $random->getInt(1, $technique->maxPasses),
                    $extent,
                );
                usort($used, fn ($a, $b) => $a->index <=> $b->index);
            }
            $edits[$area->key] = new Choice(array_values($used));
        }

        return Demo::planner()->withEdits($plan, $edits);
    }

    /** Counted from the steps of the order of work, one pass each. */
    private static function counted(Plan $plan, Asked $r): int
    {
        $own = fn (Step $s): bool => $s->area?->key === $r->area && $s->phase !== Phase::JointTidy;

        return $r->met(Asked::usesOf(array_values(array_filter($plan->work->steps, $own))));
    }

    private static function areaOf(Plan $plan, Step $step): PlannedArea
    {
        return $step->area === null ? $plan->whole : $plan->areas[$plan->request->sculpt->place($step->area->key)];
    }

    /** @param  list<int>  $numbers  of steps that are taken out */
    private static function without(Plan $plan, array $numbers): Plan
    {
        $gone = [];
        foreach ($numbers as $no) {
            $step = $plan->work->steps[$no - 1];
            $gone[$step->area->key ?? ''][$step->technique->key] =
                ($gone[$step->area->key ?? ''][$step->technique->key] ?? 0) + 1;
        }
        $edits = [];
        foreach ($plan->areas as $planned) {
            $key = (string) $planned->demand->area?->key;
            if (isset($gone[$key])) {
                $left = array_map(
                    function (?ChosenTechnique $u) use ($gone, $key): ?ChosenTechnique {
                        for ($n = $gone[$key][$u?->technique->key] ?? 0; $n > 0; $n--) {
                            $u = $u?->withoutLast();
                        }

                        return $u;
                    },
                    $planned->choice->techniques ?? [],
                );
                $edits[$key] = new Choice(array_values(array_filter($left)));
            }
        }

        return Demo::planner()->withEdits($plan, $edits);
    }
}
