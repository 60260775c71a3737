<?php

declare(strict_types=1);

namespace Tests\Feature;

use Ordotype\Core\Standard\School;

/** What is arranged for a unit before it goes to the bench. */
final class ArrangementTest extends StudioTestCase
{
    private const AMENDMENT = [
        'level' => 'unit',
        'do' => 'omit',
        'clause' => 'company.edges',
        'technique' => null,
        'scope' => ['area' => ['boots']],
        'values' => [],
        'reason' => 'Mud hides them.',
        'price' => null,
        'on' => null,
    ];

    public function test_a_conflict_is_amended_away_by_who_and_why_and_the_unit_is_released(): void
    {
        $unit = $this->unit('26-041');
        $wrong =
            [
                'do' => 'add',
                'clause' => null,
                'technique' => 'layer',
                'values' => ['passes' => 3],
                'reason' => 'As on the picture.',
                'scope' => ['area' => ['coat']],
            ] + self::AMENDMENT;
        $plan = $this->amend($unit->id, 1, $wrong, 200);
        self::assertNotSame([], $plan->json('plan.conflicts'));
        self::assertSame('Runa Wick', $plan->json('amendments.0.by'));
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => 2], 422);
        $id = $plan->json('amendments.0.id');
        $this->api('lead', 'DELETE', "units/$unit->id/amendments/$id", ['revision' => 1], 409);
        $this->api('lead', 'DELETE', "units/$unit->id/amendments/$id", ['revision' => 2], 200)
            ->assertJsonPath('plan.conflicts', [])
            ->assertJsonPath('amendments', []);
        $this->api('lead', 'POST', "units/$unit->id/release", ['revision' => 3], 200);
        $this->amend($unit->id, 4, self::AMENDMENT, 409);
    }

    public function test_an_amendment_that_does_not_fit_is_named_and_not_kept(): void
    {
        $unit = $this->unit('26-041');
        $this->amend($unit->id, 1, ['clause' => 'company.nothing'] + self::AMENDMENT, 422);
        $this->amend(
            $unit->id,
            1,
            ['technique' => 'sorcery', 'clause' => null] + self::AMENDMENT,
            422,
        )->assertJsonPath('errors.0.pointer', '/amendment/technique');
        $this->amend($unit->id, 1, ['level' => 'village'] + self::AMENDMENT, 422)->assertJsonPath(
            'errors.0.pointer',
            '/amendment/level',
        );
        $this->amend($unit->id, 1, ['level' => 'piece'] + self::AMENDMENT, 422)->assertJsonPath(
            'errors.0.pointer',
            '/piece',
        );
        $this->api('lead', 'GET', "units/$unit->id/plan", null, 200)
            ->assertJsonPath('amendments', [])
            ->assertJsonPath('unit.revision', 1);
    }

    public function test_of_an_order_it_holds_over_its_units_until_one_is_on_the_bench(): void
    {
        $first = $this->unit('26-036');
        $second = $this->unit('26-036', 1);
        $before = $this->api('lead', 'GET', "units/$second->id/plan", null, 200);
        self::assertSame(['order', 'order'], array_column($before->json('amendments'), 'of'));
        $made = $this->amend($first->id, 1, ['level' => 'order', 'clause' => 'muster.shade'] + self::AMENDMENT, 200);
        self::assertLessThan(
            count($before->json('plan.requirements')),
            count($this->api('lead', 'GET', "units/$second->id/plan", null, 200)->json('plan.requirements')),
        );
        $this->api('lead', 'POST', "units/$second->id/release", ['revision' => 1], 200);
        $this->api(
            'lead',
            'DELETE',
            "units/$first->id/amendments/{$made->json('amendments.2.id')}",
            ['revision' => 2],
            409,
        );
        $this->api(
            'lead',
            'PUT',
            "units/$first->id/method",
            ['order_revision' => $first->order()->value('revision'), 'revision' => 2, 'method' => ['edges' => 'focal']],
            409,
        );
    }

    public function test_moving_a_unit_shows_what_it_adds_before_it_is_done_and_keeps_changes_by_hand_that_still_can(): void
    {
        $unit = $this->unit('26-041');
        $tiers = collect($this->api('lead', 'GET', "units/$unit->id/tiers", null, 200)->json('data'));
        self::assertSame(
            ['muster', 'company', 'banner', 'cabinet', 'centrepiece', 'exhibition'],
            $tiers->pluck('key')->all(),
        );
        self::assertGreaterThan(
            $tiers->firstWhere('key', 'company')['minutes'],
            $tiers->firstWhere('key', 'banner')['minutes'],
        );
        self::assertContains('A light line on every visible edge.', $tiers->firstWhere('key', 'banner')['gains']);
        self::assertSame([], $tiers->firstWhere('key', 'company')['gains']);
        self::assertNull($tiers->firstWhere('key', 'muster')['raise']);
        self::assertLessThan(
            $tiers->firstWhere('key', 'banner')['minutes'],
            $tiers->firstWhere('key', 'banner')['raise']['minutes'],
        );
        self::assertTrue($tiers->firstWhere('key', 'banner')['raise']['varnished']);
        $plan = $this->api('lead', 'GET', "units/$unit->id/plan", null, 200);
        $has = fn (string $area) => array_map(
            fn (array $t) => ['technique' => $t['technique'], 'passes' => $t['passes'], 'extent' => $t['extent']],
            collect($plan->json('plan.areas'))->firstWhere('area', $area)['techniques'],
        );
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/plan",
            [
                'revision' => 1,
                'edits' => [
                    'coat' => [
                        ...$has('coat'),
                        ['technique' => 'point_highlight', 'passes' => 1, 'extent' => 'spot'],
                    ],
                    'hood' => [...$has('hood'), ['technique' => 'glaze_light', 'passes' => 1, 'extent' => 'full']],
                ],
            ],
            200,
        );
        $moved = $this->api('lead', 'PUT', "units/$unit->id/tier", ['revision' => 2, 'tier' => 'muster'], 200);
        self::assertSame(['Hood'], $moved->json('edits_gone'));
        $now = $this->api('lead', 'GET', "units/$unit->id/plan", null, 200);
        self::assertSame('Muster', $now->json('unit.tier.name'));
        self::assertSame(['coat'], array_keys($now->json('unit.edits')));
        $this->api('lead', 'PUT', "units/$unit->id/tier", ['revision' => 3, 'tier' => 'sketch'], 422)->assertJsonPath(
            'errors.0.pointer',
            '/tier',
        );
    }

    public function test_each_school_says_its_minutes_and_the_method_is_changed_for_the_order(): void
    {
        $unit = $this->unit('26-041', 1);
        $schools = $this->api('lead', 'GET', "units/$unit->id/schools", null, 200);
        self::assertCount(count(School::cases()), $schools->json('schools'));
        $edges = collect($schools->json('schools'))->firstWhere('school', 'edges');
        self::assertNull($edges['answer']);
        $minutes = array_column($edges['answers'], 'minutes', 'answer');
        self::assertSame($schools->json('now'), $minutes['every_visible']);
        self::assertLessThan($minutes['light_facing'], $minutes['focal']);
        $plan = $this->api(
            'lead',
            'PUT',
            "units/$unit->id/method",
            ['order_revision' => $unit->order()->value('revision'), 'revision' => 1, 'method' => ['edges' => 'focal']],
            200,
        );
        self::assertEqualsWithDelta($minutes['focal'], $plan->json('plan.totals.by_passes'), 0.01);
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/method",
            ['order_revision' => $unit->order()->value('revision'), 'revision' => 2, 'method' => ['edges' => 'sideways']],
            422,
        )->assertJsonPath('errors.0.pointer', '/edges');
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/method",
            ['order_revision' => $unit->order()->value('revision'), 'revision' => 2, 'method' => (object) []],
            200,
        )->assertJsonPath('method', []);
    }

    public function test_spare_minutes_are_bought_or_cut_and_both_aims_are_told(): void
    {
        $unit = $this->unit('26-041');
        $now = $this->api('lead', 'POST', "units/$unit->id/spare", ['minutes' => 0], 200)->json('now');
        $more = $this->api('lead', 'POST', "units/$unit->id/spare", ['minutes' => $now + 20], 200);
        self::assertNotSame([], $more->json('buys'));
        self::assertLessThanOrEqual(20.0, array_sum(array_column($more->json('buys'), 'minutes')));
        self::assertNull($more->json('cuts'));
        self::assertGreaterThanOrEqual($more->json('quickest'), $more->json('best'));
        $less = $this->api('lead', 'POST', "units/$unit->id/spare", ['minutes' => $now - 3], 200);
        self::assertFalse($less->json('cuts.enough'), 'the floor is never cut');
        self::assertSame('muster', $less->json('cuts.tier.key'));
        $this->api('lead', 'POST', "units/$unit->id/spare", ['minutes' => -1], 422);
    }

    /** @param  array<string, mixed>  $amendment */
    private function amend(int $unit, int $revision, array $amendment, int $status): \Illuminate\Testing\TestResponse
    {
        // An empty list is an object here.
        foreach (['scope', 'values'] as $key) {
            $amendment[$key] = (object) $amendment[$key];
        }

        return $this->api(
            'lead',
            'POST',
            "units/$unit/amendments",
            ['revision' => $revision, 'amendment' => $amendment],
            $status,
        );
    }
}
