<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Foundation\NoticingSize;
use Ordotype\Core\Inspection\Drill;
use Ordotype\Core\Inspection\DrillOutcome;
use Ordotype\Core\Picture\Booth\Faults;
use Ordotype\Core\Planning\Plan\PlanRequest;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/** Pictures to train the eye on. */
final class DrillTest extends TestCase
{
    public function test_the_same_number_gives_the_same_pictures_and_each_is_told_right(): void
    {
        $standard = Demo::standard();
        $tier = $standard->tier('banner');
        $plan = Demo::planner()->plan(new PlanRequest($standard, $tier, Demo::sculpt()));
        $drill = new Drill($plan, InspectionTest::faults());
        self::assertEquals($drill->pictures(3), $drill->pictures(3));
        self::assertNotEquals($drill->pictures(3), $drill->pictures(4));
        $noticed = NoticingSize::mm($tier->viewing->distanceCm, $tier->viewing->angleArcmin);
        $clean = $counts = $small = 0;
        $kinds = [];
        for ($number = 1; $number <= 60; $number++) {
            $pictures = $drill->pictures($number);
            self::assertCount(Drill::PICTURES, $pictures);
            foreach ($pictures as $p) {
                if ($p->fault === null) {
                    $clean++;
                    self::assertFalse($p->counts);
                    self::assertSame([DrillOutcome::Right, DrillOutcome::False], [$p->answered(null), $p->answered('coat')]);

                    continue;
                }
                $kinds[$p->fault] = true;
                self::assertContains($p->fault, Faults::DRAWN);
                $kind = InspectionTest::faults()->kind($p->fault);
                if ($kind->bySize) {
                    self::assertSame($p->size >= $noticed, $p->counts, "$p->fault of $p->size mm");
                    $small += $p->counts ? 0 : 1;
                }
                $counts += $p->counts ? 1 : 0;
                self::assertSame($p->counts ? DrillOutcome::Found : DrillOutcome::False, $p->answered($p->area));
                self::assertSame($p->counts ? DrillOutcome::Missed : DrillOutcome::Right, $p->answered(null));
                self::assertSame($p->counts ? DrillOutcome::Missed : DrillOutcome::False, $p->answered('elsewhere'));
            }
        }
        self::assertGreaterThan(80, $clean);
        self::assertGreaterThan(200, $counts);
        self::assertGreaterThan(5, $small, 'some are too small to count');
        self::assertGreaterThan(12, count($kinds));
    }
}
