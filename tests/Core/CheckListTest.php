<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Inspection\CheckList;
use Ordotype\Core\Inspection\Question;
use Ordotype\Core\Inspection\QuestionKey;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Words\CheckWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Asked;
use Tests\Support\Demo;

final class CheckListTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function pieces(): iterable
    {
        foreach (
            ['sluice-warden', 'lantern-provost', 'mudlark', 'bell-diver', 'reedback-toad', 'ferry-gun'] as $figure
        ) {
            foreach (['muster', 'company', 'banner', 'cabinet', 'centrepiece'] as $tier) {
                yield "$figure at $tier" => [$figure, $tier];
            }
        }
    }

    #[DataProvider('pieces')]
    public function test_the_list_is_short_and_leaves_nothing_out(string $figure, string $tier): void
    {
        $plan = self::plan($figure, $tier);
        $questions = (new CheckList($plan, self::faults()))->questions();
        self::assertLessThanOrEqual(30, count($questions));
        $keys = array_map(fn (Question $q) => $q->key->id, $questions);
        self::assertSame($keys, array_values(array_unique($keys)));
        self::assertSame(QuestionKey::finalLook()->id, $keys[count($keys) - 1]);
        foreach ($plan->areas as $planned) {
            $area = $planned->demand->area;
            self::assertNotNull($area);
            foreach (Asked::all($planned->demand->requirements) as $requirement) {
                foreach ($requirement->clauses as $clause) {
                    $asking = array_filter(
                        $questions,
                        fn (Question $q) => in_array($clause, $q->clauses, true) &&
                            in_array($area->key, $q->areas, true) &&
                            $q->view === $area->view(),
                    );
                    self::assertNotSame([], $asking, "$clause on $area->key is asked by no question in its view");
                    if (in_array($requirement->kind, [RequirementKind::Effect, RequirementKind::Technique], true)) {
                        self::assertNotSame(
                            [],
                            array_filter($asking, fn (Question $q) => $q->mandatory),
                            "$clause must be answered",
                        );
                    }
                }
            }
        }
    }

    #[DataProvider('pieces')]
    public function test_every_fault_that_can_be_there_is_asked_for(string $figure, string $tier): void
    {
        $plan = self::plan($figure, $tier);
        $questions = (new CheckList($plan, self::faults()))->questions();
        foreach ($plan->areas as $planned) {
            $area = $planned->demand->area;
            self::assertNotNull($area);
            foreach (self::faults()->kinds as $kind) {
                $there =
                    array_filter(
                        $planned->choice->techniques ?? [],
                        fn ($u) => $u->technique->givesAny(...$kind->effects),
                    ) !== [];
                if (
                    $kind->where !== 'area' ||
                    $kind->effects === [] ||
                    ! $there ||
                    ($kind->materials !== [] && ! in_array($area->material, $kind->materials, true)) ||
                    $area->rank->value === 'ground'
                ) {
                    continue;
                }
                $asking = array_filter(
                    $questions,
                    fn (Question $q) => ! $q->isFinalLook() &&
                        in_array($kind->key, $q->faults, true) &&
                        in_array($area->key, $q->areas, true),
                );
                self::assertNotSame([], $asking, "$kind->key on $area->key");
            }
        }
        $this->addToAssertionCount(1);
    }

    public function test_a_finish_joins_the_question_about_its_fault_and_gives_it_no_severity(): void
    {
        $questions = array_column(
            array_map(
                fn (Question $q) => ['key' => $q->key->id, 'q' => $q],
                (new CheckList(self::plan('sluice-warden', 'banner'), self::faults()))->questions(),
            ),
            'q',
            'key',
        );
        self::assertContains('banner.drift', $questions['fault:colour:front']->clauses);
        self::assertContains('muster.primer', $questions['fault:cover:front']->clauses);
        self::assertNull(
            $questions['fault:colour:front']->severity,
            'what the clause says of drift is not said of every fault of colour',
        );
        $steps = array_values(
            array_filter($questions, fn (Question $q) => in_array('banner.steps.main', $q->clauses, true)),
        );
        self::assertCount(1, $steps);
        self::assertContains('banner.steps.detail', $steps[0]->clauses);
        self::assertStringStartsWith(
            'Can the colour steps be told apart: 3 to 6 on oilskin coat',
            (new CheckWords(Demo::standard()))->question($steps[0]),
        );
    }

    private static function plan(string $figure, string $tier): Plan
    {
        static $plans = [];
        $standard = Demo::standard();

        return $plans["$figure $tier"] ??= Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier($tier), Demo::sculpt($figure)),
        );
    }

    private static function faults(): FaultTable
    {
        return InspectionTest::faults();
    }
}
