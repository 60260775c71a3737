<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Ladder\RequirementChange;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Words\LadderWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

final class LadderTest extends TestCase
{
    public function test_the_shipped_ladder_has_no_findings(): void
    {
        self::assertSame([], (new Lint(Demo::standard()))->findings());
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string, list<string>}> */
    public static function defects(): iterable
    {
        $steps = fn (array $scope, int $min, ?int $max): array => [
            'kind' => 'steps',
            'scope' => $scope,
            'min' => $min,
            'max' => $max,
        ];
        yield 'one clause upside down' => [[$steps(['rank' => ['main']], 4, 2)], 'floor_above_ceiling', ['tier.0']];
        yield 'two clauses that overlap' => [
            [$steps(['rank' => ['main']], 4, null), $steps(['material' => ['cloth']], 0, 3)],
            'floor_above_ceiling',
            ['tier.0', 'tier.1'],
        ];
        yield 'sprayed colours' => [
            [['kind' => 'sprayed_colours', 'min' => 3, 'max' => 1]],
            'floor_above_ceiling',
            ['tier.0'],
        ];
        yield 'an empty list' => [[$steps(['rank' => []], 1, 2)], 'matches_nothing', ['tier.0']];
        yield 'everything excepted' => [
            [
                [
                    'kind' => 'effect',
                    'effect' => 'shade',
                    'scope' => ['rank' => ['main'], 'except' => ['rank' => ['main', 'detail']]],
                ],
            ],
            'matches_nothing',
            ['tier.0'],
        ];
        yield 'a technique where it cannot be used' => [
            [
                [
                    'kind' => 'technique',
                    'technique' => 'metallic_base',
                    'status' => 'required',
                    'scope' => ['material' => ['cloth']],
                ],
            ],
            'matches_nothing',
            ['tier.0'],
        ];
        yield 'an effect nobody can give there' => [
            [['kind' => 'effect', 'effect' => 'ground_plants', 'scope' => ['material' => ['steel']]]],
            'matches_nothing',
            ['tier.0'],
        ];
        yield 'more than the named technique gives' => [
            [['kind' => 'effect', 'effect' => 'highlight_edge', 'extent' => 'full', 'by' => ['drybrush']]],
            'matches_nothing',
            ['tier.0'],
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $clauses
     * @param  list<string>  $named
     */
    #[DataProvider('defects')]
    public function test_each_defect_is_found_and_its_clauses_are_named(
        array $clauses,
        string $kind,
        array $named,
    ): void {
        $findings = (new Lint(Demo::tierOf($clauses)))->findings();
        self::assertCount(1, $findings);
        self::assertSame(
            [$kind, 'tier', $named],
            [$findings[0]->kind->value, $findings[0]->tier->key, array_map(fn ($c) => $c->id, $findings[0]->clauses)],
        );
        self::assertNotSame('', (new LadderWords(Demo::tierOf($clauses)))->change($findings[0]));
    }

    public function test_clauses_that_never_meet_or_that_hold_are_let_be(): void
    {
        self::assertSame(
            [],
            (new Lint(
                Demo::tierOf([
                    ['kind' => 'steps', 'scope' => ['rank' => ['main']], 'min' => 4, 'max' => null],
                    ['kind' => 'steps', 'scope' => ['rank' => ['detail']], 'min' => 0, 'max' => 2],
                    ['kind' => 'effect', 'effect' => 'ground_plants', 'scope' => ['material' => ['ground']]],
                    [
                        'kind' => 'technique',
                        'technique' => 'eye_full',
                        'status' => 'required',
                        'scope' => ['role' => ['hero'], 'except' => ['material' => ['cloth']]],
                    ],
                ]),
            ))->findings(),
        );
    }

    public function test_the_difference_of_two_tiers_says_what_is_added_dropped_and_strengthened(): void
    {
        $standard = Demo::standard();
        $plan = fn (string $tier) => Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier($tier), Demo::sculpt()),
        );
        $difference = new TierDifference($plan('company'), $plan('banner'));
        $said = [];
        foreach ($difference->changes as $change) {
            $said[
                ($change->after ?? $change->before)?->area.' '.($change->after ?? $change->before)?->subject()
            ] = $change->trend->value;
        }
        self::assertSame('added', $said['gorget separate']);
        self::assertSame('strengthened', $said['coat highlight_edge']);
        self::assertSame('strengthened', $said['coat colour_steps']);
        self::assertSame('allows_more', $said['boots colour_steps']);
        self::assertArrayNotHasKey('coat shade', $said);
        self::assertGreaterThan(20, $difference->minutes());
        self::assertSame(['22.00', '42.00'], [$difference->prices()[0]?->low, $difference->prices()[1]?->low]);
        self::assertArrayHasKey('coat', $difference->areaMinutes());

        $back = array_map(
            fn (RequirementChange $c) => $c->trend->value,
            (new TierDifference($plan('banner'), $plan('company')))->changes,
        );
        self::assertContains('dropped', $back);
        self::assertNotContains(
            'added',
            array_diff($back, ['dropped', 'weakened', 'allows_less', 'allows_more', 'strengthened', 'changed']),
        );
        self::assertSame([], (new TierDifference($plan('banner'), $plan('banner')))->changes);
    }
}
