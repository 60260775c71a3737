<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Inspection\Repair;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\RepairWhy;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\FaultKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Reference\Csv;
use Tests\Support\Demo;

/** Every fault of the table on every area of the demo's figures, against what the page says of a repair. */
final class RepairTest extends TestCase
{
    private const FACTOR = ['spot' => 0.15, 'patch' => 0.25, 'whole' => 1.0];

    /** @return iterable<string, array{string, string, string|null}> */
    public static function plans(): iterable
    {
        foreach (['sluice-warden', 'mudlark', 'reedback-toad'] as $figure) {
            foreach (['muster', 'company', 'cabinet'] as $tier) {
                foreach ([null, 'stain_down', 'up_from_dark'] as $build) {
                    yield "$figure at $tier, ".($build ?? 'no method') => [$figure, $tier, $build];
                }
            }
        }
    }

    #[DataProvider('plans')]
    public function test_a_repair_keeps_to_the_brush_lays_nothing_twice_and_does_a_stain_whole(
        string $figure,
        string $tier,
        ?string $build,
    ): void {
        $standard = Demo::standard();
        $build = $build === null ? [] : ['build' => [(object) ['scope' => new \stdClass(), 'value' => $build]]];
        $method = MethodFormat::read((object) (['format' => 'ordotype/method@1'] + $build));
        $plan = Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier($tier), Demo::sculpt($figure), Demo::scheme(), $method, shelf: Demo::shelf()),
        );
        $bases = array_map(fn (Area $a) => self::ownBase($plan, $a), $plan->request->sculpt->areas);
        if ($tier === 'company' && ($build['build'][0]->value ?? '') === 'stain_down') {
            self::assertNotSame([], array_intersect(['stain_coat', 'stain_fade'], $bases), 'some base is a stain');
        }
        $repair = new Repair($plan);
        foreach (InspectionTest::faults()->kinds as $fault) {
            foreach ($plan->request->sculpt->areas as $area) {
                foreach (Spread::cases() as $spread) {
                    $this->judge($plan, $fault, $area, $spread, $repair->of($fault, $area, $spread, true));
                }
            }
        }
    }

    /** @param  list<RepairStep>  $steps */
    private function judge(Plan $plan, FaultKind $fault, Area $area, Spread $spread, array $steps): void
    {
        $where = "$fault->key on $area->key, $spread->value: ".implode(', ', array_map(self::told(...), $steps));
        foreach ($steps as $step) {
            self::assertNotSame(Family::Spray, $step->technique->family, "nothing is sprayed: $where");
        }
        $here = array_values(array_filter($steps, fn (RepairStep $s) => $s->area?->key === $area->key));
        $bases = array_values(array_filter($here, fn (RepairStep $s) => $s->technique->has(Effect::BaseColour)));
        if ($fault->where !== 'whole') {
            self::assertLessThanOrEqual(1, count($bases), "one base: $where");
        }
        $names = array_count_values(array_map(self::told(...), $fault->redoLater ? [] : $here));
        self::assertSame([], array_filter($names, fn (int $n) => $n > 1), "nothing twice: $where");
        // Where its own base is a stain: light under it, all of the area, and all that follows there.
        $own = self::ownBase($plan, $area);
        $stain = in_array($own, ['stain_coat', 'stain_fade'], true) && in_array('own_base', $fault->first, true) &&
            $fault->where !== 'whole';
        if ($stain) {
            $at = (int) array_search($own, array_map(fn (RepairStep $s) => $s->technique->key, $here), true);
            self::assertSame('light_underlay', $here[$at - 1]->technique->key ?? null, $where);
            $isEnough = max(1, self::gradeOfStain($plan, $area, (string) $own) - 1) >= $plan->area($area->key)->gradeBar;
            self::assertSame($isEnough ? RepairWhy::OwnStain : RepairWhy::OwnStainUneven, $here[$at]->why, $where);
        }
        foreach ($here as $step) {
            $planned = array_values(array_filter(
                $plan->work->steps,
                fn (Step $s) => $s->area?->key === $area->key && $s->technique->key === $step->technique->key,
            ));
            // What the plan does there too takes the plan's minutes, in the share that is repaired.
            if (count($planned) === 1 && ! in_array($step->technique->key, $fault->first, true) && count($bases) <= 1 &&
                ! ($bases !== [] && $step === $bases[0])) {
                $share = $stain ? 1.0 : self::FACTOR[$spread->value];
                self::assertEqualsWithDelta($planned[0]->minutes * $share, $step->minutes, 1e-9, "{$step->technique->key}: $where");
            }
        }
        // Protection comes last, and nothing after it.
        $protects = array_map(fn (RepairStep $s) => $s->technique->has(Effect::Protect), $steps);
        $sorted = $protects;
        sort($sorted);
        if (! in_array('matt_varnish', $fault->first, true)) {
            self::assertSame($sorted, $protects, $where);
        }
    }

    /** By the trade's table: one better where it is made for the relief, one worse where only possible, 4 when tidied. */
    private static function gradeOfStain(Plan $plan, Area $area, string $stain): int
    {
        $row = array_column(Csv::rows('techniques.csv'), null, 'key')[$stain];
        $suits = [];
        foreach (explode(' ', $row['suits']) as $suit) {
            [$relief, $how] = explode(':', $suit);
            $suits[$relief] = (int) $how;
        }
        $suit = max(array_map(fn (Relief $r) => $suits[$r->value] ?? $suits['all'] ?? 0, $area->relief));
        $grade = (int) $row['grade'] + [1 => -1, 2 => 0, 3 => 1][$suit];
        foreach ($plan->area($area->key)->choice->techniques ?? [] as $used) {
            $tidies = $used->technique->key === 'tidy_base' ||
                ($used->technique->key === 'layer' && $used->extent === Extent::Full);
            $grade = $tidies && $row['tidied'] === '1' ? max($grade, 4) : $grade;
        }

        return max(1, min(5, $grade));
    }

    private static function ownBase(Plan $plan, Area $area): ?string
    {
        foreach ($plan->area($area->key)->choice->techniques ?? [] as $used) {
            if ($used->technique->has(Effect::BaseColour)) {
                return $used->technique->key;
            }
        }

        return null;
    }

    private static function told(RepairStep $step): string
    {
        return $step->technique->key.' '.($step->area->key ?? '*');
    }
}
