<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Planning\Plan\ChosenWork;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\TierStatus;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;
use Tests\Support\DemoPlans;
use Tests\Support\IntegerProgramme;
use Tests\Support\RandomCase;

/** The choice of techniques against a general-purpose solver of integer programmes (GLPK, `glpsol`). */
final class OutsideSolverTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function sculpts(): iterable
    {
        foreach (DemoPlans::SCULPTS as $sculpt) {
            yield $sculpt => [$sculpt];
        }
    }

    #[DataProvider('sculpts')]
    public function test_the_figures_of_the_demo_take_the_same_minutes_at_every_tier(string $sculpt): void
    {
        $standard = Demo::standard();
        foreach ($standard->tiers as $tier) {
            if ($tier->status !== TierStatus::Open) {
                $request = new PlanRequest($standard, $tier, Demo::sculpt($sculpt));
                $this->compare($request, Demo::planner()->choose($request), "$sculpt at $tier->key");
            }
        }
    }

    public function test_random_areas_larger_than_can_be_tried_out_take_the_same_minutes(): void
    {
        $areas = 0;
        for ($seed = 5000; $areas < 200; $seed++) {
            $request = (new RandomCase($seed))->request(15, 4);
            $areas += $this->compare($request, Demo::planner()->choose($request), "seed $seed");
        }
        self::assertGreaterThanOrEqual(200, $areas);
    }

    /** @return int areas compared */
    private function compare(PlanRequest $request, ChosenWork $chosen, string $where): int
    {
        $given = $chosen->context->given;
        $wanted = $request->tier->pace->gradeBar();
        $sprayed = array_merge([], ...array_map(fn ($c) => $c->areas, $chosen->sprayed));
        $compared = 0;
        foreach ($chosen->areas as $planned) {
            $area = $planned->demand->area;
            // Which colours are sprayed is settled apart from the choice.
            if ($area === null || in_array($area, $sprayed, true)) {
                continue;
            }
            $sprays = $chosen->whole->demand->ofModel(\Ordotype\Core\Planning\Demand\ModelFigure::SprayedColours) === null;
            $least = fn (int $bar): ?float => (new IntegerProgramme(
                $request,
                $area,
                $planned->demand,
                $given,
                $bar,
                $sprays,
            ))->least();
            $minutes = null;
            for ($bar = $wanted; $bar >= 1 && $minutes === null; $bar--) {
                $minutes = $least($bar);
            }
            self::assertSame($planned->choice === null, $minutes === null, "$where, $area->key");
            if ($minutes !== null) {
                self::assertSame($bar + 1, $planned->gradeBar, "$where, $area->key");
                self::assertEqualsWithDelta($minutes, $planned->choice?->minutes, 1e-6, "$where, $area->key");
            }
            $compared++;
        }

        return $compared;
    }
}
