<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Slip;
use Ordotype\Core\Planning\Sequencing\Step;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/**
 * The batch on the clock: every plan is worked through model by model and pass by pass, apart from the code that laid
 * it out, and nothing may go over a coat that is still wet.
 */
final class DryingTest extends TestCase
{
    private const FIGURES = ['sluice-warden', 'mudlark', 'lantern-provost', 'ferry-gun'];

    public function test_nothing_goes_over_a_wet_coat_and_the_waiting_is_as_long_as_is_said(): void
    {
        $standard = Demo::standard();
        foreach (self::FIGURES as $figure) {
            foreach (['muster', 'company', 'banner'] as $tier) {
                foreach ([1, 2, 7, 20] as $pieces) {
                    $plan = Demo::planner()->plan(
                        new PlanRequest(
                            $standard,
                            $standard->tier($tier),
                            Demo::sculpt($figure),
                            Demo::scheme(),
                            shelf: Demo::shelf(),
                            pieces: $pieces,
                        ),
                    );
                    [$waited, $early] = self::worked($plan);
                    $where = "$figure, $tier, $pieces";
                    self::assertSame([], $early, $where);
                    // The least the painter must wait in this order; what is said may be more, as a whole pass waits
                    // for its slowest area.
                    self::assertGreaterThanOrEqual($waited - 0.01, $plan->work->idleMinutes, $where);
                    self::assertLessThanOrEqual($waited + 0.05 * $waited + 15.0, $plan->work->idleMinutes, $where);
                }
            }
        }
    }

    public function test_the_chain_of_one_model_is_no_longer_than_working_it_alone(): void
    {
        $standard = Demo::standard();
        foreach (self::FIGURES as $figure) {
            $plan = Demo::planner()->plan(
                new PlanRequest(
                    $standard,
                    $standard->tier('company'),
                    Demo::sculpt($figure),
                    Demo::scheme(),
                    shelf: Demo::shelf(),
                ),
            );
            $alone = $plan->work->idleMinutes + $plan->minutesByArea();
            self::assertLessThanOrEqual($alone + 1e-6, $plan->work->criticalPath, $figure);
            self::assertGreaterThanOrEqual(
                max(array_map(fn (Step $s) => $s->minutes, $plan->work->steps)),
                $plan->work->criticalPath,
                $figure,
            );
        }
    }

    public function test_what_was_held_by_drying_says_so(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'technique', 'technique' => 'wash_all_over', 'status' => 'required'],
            ['kind' => 'technique', 'technique' => 'edge_highlight', 'status' => 'required'],
            ['kind' => 'technique', 'technique' => 'base_coat', 'status' => 'required'],
        ]);
        $plan = Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier('tier'),
                Demo::sculptOf(['coat' => ['relief' => ['hard_edges', 'soft_folds']]]),
            ),
        );
        $places = array_map(fn (Step $s) => $s->place()->id, $plan->work->steps);
        self::assertSame(['coat:base_coat', 'coat:wash_all_over', 'coat:edge_highlight'], $places);
        self::assertContains(Rule::DryThrough, $plan->work->held[2]);
        // Two coats of 8 minutes between and after (table of techniques), then 25 minutes of the wash.
        self::assertEqualsWithDelta(8 + 8 + 25, $plan->work->idleMinutes, 1e-9);
    }

    public function test_a_batch_as_large_as_the_worked_example_needs_no_waiting(): void
    {
        // Hand 4, dry 30: the smallest batch without waiting is 1 + ceil(30 / 4) = 9 (the design's own worked
        // example).
        $document = Demo::json('standards/five-rungs.json');
        assert($document instanceof \stdClass);
        foreach ($document->techniques as $t) {
            [$t->handling, $t->hand, $t->per_piece, $t->coats, $t->dry, $t->coat_dry] = [4, 0, 0, 1, 30, 0];
        }
        $document->prices = [];
        $tier = Demo::object([
            'key' => 'tier',
            'name' => 'Tier',
            'order' => 1,
            'status' => 'offered',
            'intent' => '',
            'pace' => 'fast',
            'aim' => 'quickest',
            'default_status' => 'not_offered',
            'viewing' => ['distance_cm' => 60, 'angle_arcmin' => 2],
            'clauses' => [
                ['id' => 'tier.a', 'kind' => 'technique', 'technique' => 'base_coat', 'status' => 'required'],
                ['id' => 'tier.b', 'kind' => 'technique', 'technique' => 'layer', 'status' => 'required'],
            ],
        ]);
        $document->tiers = [$tier];
        $standard = \Ordotype\Core\Format\StandardFormat::read($document);
        $waiting = fn (int $pieces): float => Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier('tier'), Demo::sculptOf(['coat' => []]), pieces: $pieces),
        )->work->idleMinutes;
        self::assertSame([30.0, 26.0, 2.0, 0.0, 0.0], array_map($waiting, [1, 2, 8, 9, 12]));
    }

    /**
     * Works the passes of a plan over all models, as soon as the painter and the paint let it.
     *
     * @return array{float, list<string>} minutes waited, and what went over something wet
     */
    private static function worked(Plan $plan): array
    {
        $sculpt = $plan->request->sculpt;
        $pieces = $plan->request->pieces;
        $now = $waited = 0.0;
        $early = [];
        /**
         * @var list<array<string, array{float, Step}>> $wet by model: until when, and what, by area ('*': everything)
         */
        $wet = array_fill(0, $pieces, []);
        foreach ($plan->work->passes as $pass) {
            $steps = array_map(fn (int $i) => $plan->work->steps[$i], $pass->steps);
            // Within a pass each model gets all areas before the next; the handling is counted once.
            // Slips are put right after the areas of the pass.
            $own = $pass->minutes - array_sum(array_map(fn (Slip $s) => $s->minutes, $pass->slips));
            $share = $own / max(1e-9, array_sum(array_map(fn (Step $s) => $s->minutes, $steps)));
            $into =
                array_filter($pass->steps, fn (int $i) => in_array(Rule::WhileWet, $plan->work->held[$i], true)) !==
                [];
            $start = $now;
            // The pass runs through without a pause: it starts as late as its tightest model wants.
            for ($k = 0; $k < $pieces; $k++) {
                $offset = $k * $pass->minutes;
                foreach ($into ? [] : $steps as $step) {
                    foreach ($wet[$k] as $key => [$until, $under]) {
                        if (self::covers($step, (string) $key, $under, $sculpt)) {
                            $start = max($start, $until - $offset);
                        }
                    }
                    $offset += $step->minutes * $share;
                }
            }
            $waited += $start - $now;
            $said = $start;
            // One pot over areas that touch is one coat.
            $before = $wet;
            for ($k = 0; $k < $pieces; $k++) {
                $at = $said + $k * $pass->minutes;
                foreach ($steps as $step) {
                    foreach ($into ? [] : $before[$k] as $key => [$until, $under]) {
                        if (self::covers($step, (string) $key, $under, $sculpt) && $at < $until - 1e-6) {
                            $early[] = "{$step->key()->id} over {$under->key()->id} on model ".($k + 1);
                        }
                    }
                    $at += $step->minutes * $share;
                    $wet[$k][$step->area->key ?? '*'] = [
                        $at + $step->technique->dry + ($step->technique->coats - 1) * $step->technique->coatDry,
                        $step,
                    ];
                }
            }
            $now = $said + $pieces * $pass->minutes;
        }

        return [$waited, $early];
    }

    private static function covers(Step $step, string $area, Step $under, \Ordotype\Core\Sculpt\Sculpt $sculpt): bool
    {
        if ($step->area === null || $area === '*' || $step->area->key === $area) {
            return true;
        }

        return $under->technique->mess >= 2 &&
            $sculpt->touch($step->area->key, $area) &&
            $step->area->part === $sculpt->area($area)->part;
    }
}
