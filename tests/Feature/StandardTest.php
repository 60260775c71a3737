<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Activity;
use App\Models\StandardVersion;
use Illuminate\Testing\TestResponse;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\CanonicalJson;

/** The standard through the API: drafts, several changes at once, versions, tiers compared, techniques, packs. */
final class StandardTest extends StudioTestCase
{
    public function test_several_changes_are_made_at_once_and_taken_back_by_the_same_list_turned_round(): void
    {
        $draft = $this->api('lead', 'POST', 'standard/draft', null, 201)->json();
        $before = $this->document();
        $edges = $this->clause($before, 'banner', 'banner.edges');
        $head = $this->tierHead($before, 'cabinet');
        $technique = $before['techniques'][20];
        $price = $before['prices'][0];
        $changes = [
            ['what' => 'clause', 'tier' => 'banner', 'before' => $edges, 'after' => ['passes' => 2] + $edges],
            [
                'what' => 'clause',
                'tier' => 'banner',
                'before' => null,
                'after' => [
                    'id' => 'banner.new',
                    'kind' => 'effect',
                    'effect' => 'reflect',
                    'extent' => 'spot',
                    'scope' => ['material' => ['steel']],
                    'label' => 'Reflections on steel',
                ],
            ],
            [
                'what' => 'tier',
                'tier' => null,
                'before' => $head,
                'after' => ['intent' => 'Said anew.', 'drop' => ['marks']] + $head,
            ],
            ['what' => 'technique', 'tier' => null, 'before' => $technique, 'after' => ['hand' => 2.5] + $technique],
            ['what' => 'price', 'tier' => null, 'before' => $price, 'after' => ['low' => '8.00'] + $price],
        ];
        $this->api('lead', 'POST', 'standard/draft/changes', ['changes' => $changes], 200)->assertJsonPath(
            'draft_revision',
            $draft['version']['revision'] + 1,
        );
        $after = $this->document();
        self::assertEquals(2, $this->clause($after, 'banner', 'banner.edges')['passes']);
        self::assertSame('reflect', $this->clause($after, 'banner', 'banner.new')['effect']);
        self::assertSame(2.5, $after['techniques'][20]['hand']);
        self::assertSame('8.00', $after['prices'][0]['low']);
        $dropped = $this->cells($this->api('lead', 'GET', 'standard', null, 200)->json(), 'marks')['cabinet'];
        self::assertTrue($dropped['dropped']);
        self::assertNull($dropped['clause']);

        $back = array_map(
            fn (array $c) => ['before' => $c['after'], 'after' => $c['before']] + $c,
            array_reverse($changes),
        );
        $this->api('lead', 'POST', 'standard/draft/changes', ['changes' => $back], 200);
        self::assertSame(
            CanonicalJson::encode(Json::decode((string) json_encode($before))),
            CanonicalJson::encode(Json::decode((string) json_encode($this->document()))),
        );
        self::assertTrue(Activity::query()->where('action', 'standard.technique')->exists());
    }

    public function test_a_change_that_starts_from_something_else_is_refused_whole_with_what_stands_there(): void
    {
        $this->api('lead', 'POST', 'standard/draft', null, 201);
        $before = $this->document();
        $edges = $this->clause($before, 'banner', 'banner.edges');
        $this->change(
            [['what' => 'clause', 'tier' => 'banner', 'before' => $edges, 'after' => ['passes' => 2] + $edges]],
            200,
        );
        $refused = $this->change(
            [
                [
                    'what' => 'clause',
                    'tier' => 'banner',
                    'before' => null,
                    'after' => ['id' => 'banner.new', 'kind' => 'skill', 'min' => 3],
                ],
                ['what' => 'clause', 'tier' => 'banner', 'before' => $edges, 'after' => ['passes' => 3] + $edges],
            ],
            409,
        );
        self::assertSame(1, $refused->json('current.change'));
        self::assertSame(2, $refused->json('current.current.passes'));
        self::assertNull($this->clause($this->document(), 'banner', 'banner.new'), 'nothing of the list was done');
        // Gone is a conflict too, and so is a result that is no standard.
        $this->change(
            [
                [
                    'what' => 'clause',
                    'tier' => 'banner',
                    'before' => ['id' => 'banner.ghost', 'kind' => 'skill', 'min' => 1],
                    'after' => null,
                ],
            ],
            409,
        );
        $wrong = $this->change(
            [
                [
                    'what' => 'clause',
                    'tier' => 'banner',
                    'before' => null,
                    'after' => ['id' => 'banner.x', 'kind' => 'effect', 'effect' => 'sparkle'],
                ],
            ],
            422,
        );
        self::assertStringEndsWith('/effect', $wrong->json('errors.0.pointer'));
        $this->change(
            [
                [
                    'what' => 'clause',
                    'tier' => 'attic',
                    'before' => null,
                    'after' => ['id' => 'attic.x', 'kind' => 'skill', 'min' => 1],
                ],
            ],
            422,
        )->assertJsonPath('errors.0.pointer', '/changes/0/tier');
        $this->change(
            [['what' => 'tier', 'tier' => null, 'before' => $this->tierHead($before, 'sketch'), 'after' => null]],
            422,
        )->assertJsonPath('errors.0.pointer', '/changes/0');
        $this->change([['what' => 'hat', 'tier' => null, 'before' => null, 'after' => null]], 422);
        $this->change([], 422);
    }

    public function test_a_rung_is_added_with_clauses_of_another_and_a_draft_is_thrown_away(): void
    {
        $this->api('lead', 'POST', 'standard/draft', null, 201);
        $head = [
            'key' => 'banner_plus',
            'name' => 'Banner plus',
            'order' => 4,
            'status' => 'offered',
            'intent' => '',
            'pace' => 'even',
            'aim' => 'quickest',
            'extends' => 'banner',
            'viewing' => ['distance_cm' => 40, 'angle_arcmin' => 2],
        ];
        $revision = $this->change(
            [['what' => 'tier', 'tier' => null, 'before' => null, 'after' => $head]],
            200,
        )->json('draft_revision');
        $cells = $this->cells($this->api('lead', 'GET', 'standard', null, 200)->json(), 'edges');
        self::assertSame('banner.edges', $cells['banner_plus']['clause']['id']);
        self::assertFalse($cells['banner_plus']['own']);
        $this->change(
            [
                [
                    'what' => 'tier',
                    'tier' => null,
                    'before' => null,
                    'after' => ['key' => 'loop', 'extends' => 'loop'] + $head,
                ],
            ],
            422,
        );
        $this->api('lead', 'DELETE', 'standard/draft', ['revision' => 1], 409);
        $this->api('lead', 'DELETE', 'standard/draft', ['revision' => $revision], 204);
        self::assertSame(1, StandardVersion::query()->count());
        $this->api('lead', 'GET', 'standard', null, 200)->assertJsonPath('version.status', 'published');
        $this->change([['what' => 'tier', 'tier' => null, 'before' => null, 'after' => $head]], 409);
    }

    public function test_the_ladder_is_held_against_the_figures_and_a_finding_is_put_right_with_its_own_change(): void
    {
        $this->api('lead', 'POST', 'standard/draft', null, 201);
        $before = $this->document();
        self::assertSame(
            [],
            $this->api('lead', 'POST', 'standard/draft/consequences', ['changes' => []], 200)->json('lint'),
        );
        $edges = $this->clause($before, 'cabinet', 'cabinet.edges');
        $minutes = $this->clause($before, 'company', 'company.minutes');
        $price = collect($before['prices'])->first(
            fn (array $p) => $p['tier'] === 'banner' && $p['size'] === 'infantry' && $p['role'] === 'regular',
        );
        $weaker = [
            [
                'what' => 'clause',
                'tier' => 'cabinet',
                'before' => $edges,
                'after' => ['extent' => 'spot', 'passes' => 1] + $edges,
            ],
            ['what' => 'clause', 'tier' => 'company', 'before' => $minutes, 'after' => ['max' => 10] + $minutes],
            ['what' => 'price', 'tier' => null, 'before' => $price, 'after' => ['low' => '1.00'] + $price],
        ];
        $found = $this->api('lead', 'POST', 'standard/draft/consequences', ['changes' => $weaker], 200);
        self::assertEqualsCanonicalizing(
            ['asks_less', 'over_minutes', 'below_cost'],
            array_column($found->json('lint'), 'kind'),
        );
        self::assertNotSame([], $found->json('units'));
        foreach ($found->json('units') as $unit) {
            self::assertGreaterThan(0, $unit['before']);
        }
        $this->change($weaker, 200);
        foreach ($found->json('lint') as $finding) {
            self::assertNotSame([], $finding['changes'], $finding['why']);
            $this->change($finding['changes'], 200);
        }
        self::assertSame(
            [],
            $this->api('lead', 'POST', 'standard/draft/consequences', ['changes' => []], 200)->json('lint'),
        );
    }

    public function test_versions_are_compared_and_tiers_told_apart_in_two_voices(): void
    {
        $this->api('lead', 'POST', 'standard/draft', null, 201);
        $lines = $this->clause($this->document(), 'banner', 'banner.lines');
        $kept = $this->change(
            [
                [
                    'what' => 'clause',
                    'tier' => 'banner',
                    'before' => $lines,
                    'after' => ['effect' => 'separate_tinted'] + $lines,
                ],
            ],
            200,
        );
        $this->api(
            'lead',
            'POST',
            'standard/draft/publish',
            ['revision' => $kept->json('draft_revision'), 'note' => 'Tinted.'],
            201,
        );
        $changes = $this->api('desk', 'GET', 'standard/compare?from=1&to=2', null, 200)->json('changes');
        self::assertCount(1, $changes);
        self::assertSame(['Banner'], $changes[0]['tiers']);
        self::assertStringContainsString('tinted lines between parts', $changes[0]['after']);
        self::assertSame([], $this->api('desk', 'GET', 'standard/compare?from=2&to=2', null, 200)->json('changes'));
        $this->api('desk', 'GET', 'standard/compare?from=2&to=9', null, 404);
        $this->api('desk', 'GET', 'standard/versions', null, 200)->assertJsonPath('data.0.published_by', 'Runa Wick');

        $difference = $this->api(
            'desk',
            'GET',
            'standard/difference?from=company&to=banner&sculpt=lantern-provost',
            null,
            200,
        );
        self::assertGreaterThan($difference->json('from.minutes'), $difference->json('to.minutes'));
        self::assertContains('A light line on every visible edge.', $difference->json('gains'));
        self::assertNotSame(
            [],
            array_filter(
                $difference->json('painter'),
                fn (array $l) => $l['what'] === 'edge highlights' &&
                    str_starts_with($l['before'], 'where it stands out most by edge highlight, '),
            ),
        );
        self::assertNotSame([], $difference->json('techniques'));
        $this->api(
            'desk',
            'GET',
            'standard/difference?from=company&to=attic&sculpt=lantern-provost',
            null,
            422,
        )->assertJsonPath('errors.0.pointer', '/to');
    }

    public function test_the_catalogue_says_which_tiers_use_a_technique_and_a_retired_one_stays_in_old_versions(): void
    {
        $this->api('lead', 'POST', 'standard/draft', null, 201);
        $list = collect($this->api('desk', 'GET', 'standard/techniques', null, 200)->json('data'));
        $decal = $list->firstWhere('technique.key', 'decal');
        self::assertSame(
            ['not_offered', 'on_request', 'allowed'],
            array_values(
                array_unique(
                    array_column(
                        collect($decal['used_by'])
                            ->whereIn('tier', ['muster', 'company', 'banner'])
                            ->all(),
                        'status',
                    ),
                ),
            ),
        );
        $this->change(
            [
                [
                    'what' => 'technique',
                    'tier' => null,
                    'before' => null,
                    'after' => ['key' => 'river_mud', 'name' => 'River mud'] + $decal['technique'],
                ],
                [
                    'what' => 'technique',
                    'tier' => null,
                    'before' => $decal['technique'],
                    'after' => ['retired' => true] + $decal['technique'],
                ],
            ],
            200,
        );
        $now = collect($this->api('desk', 'GET', 'standard/techniques', null, 200)->json('data'));
        self::assertTrue($now->firstWhere('technique.key', 'decal')['technique']['retired']);
        self::assertNotNull($now->firstWhere('technique.key', 'river_mud'));
        $old = $this->api('desk', 'GET', 'standard/versions/1/export', null, 200)->json();
        self::assertArrayNotHasKey('retired', collect($old['techniques'])->firstWhere('key', 'decal'));
    }

    public function test_packs_are_previewed_taken_in_and_given_back_equal_and_the_ladder_goes_out_as_csv(): void
    {
        self::assertSame(
            ['five-rungs', 'two-stages', 'three-grades', 'empty-ladder'],
            array_column($this->api('desk', 'GET', 'packs', null, 200)->json('data'), 'key'),
        );
        $this->api('desk', 'GET', 'packs/attic', null, 404);
        foreach (['two-stages', 'three-grades', 'five-rungs'] as $key) {
            $pack = $this->api('lead', 'GET', "packs/$key", null, 200)->getContent();
            $preview = $this->send('imports/preview', (string) $pack)->assertOk();
            self::assertSame([], $preview->json('lint'));
            self::assertSame(
                $key === 'five-rungs' ? 0 : 1,
                min(
                    1,
                    count(
                        array_filter(
                            $preview->json('changes'),
                            fn (array $c) => $c['what'] === 'tier' && $key !== 'five-rungs',
                        ),
                    ),
                ),
            );
            $this->send('imports', (string) $pack)->assertCreated();
            $number = $this->api('lead', 'GET', 'standard', null, 200)
                ->assertJsonPath('version.status', 'draft')
                ->json('version.number');
            $out = $this->api('lead', 'GET', "standard/versions/$number/export", null, 200)->getContent();
            self::assertSame(
                CanonicalJson::encode(Json::decode((string) $pack)),
                CanonicalJson::encode(Json::decode((string) $out)),
                $key,
            );
        }
        $csv = (string) $this->api('desk', 'GET', 'standard/ladder.csv', null, 200)->getContent();
        $lines = array_map(fn (string $l) => str_getcsv($l, ',', '"', ''), explode("\r\n", trim($csv)));
        self::assertSame(
            ['group', 'row', 'Sketch', 'Muster', 'Company', 'Banner', 'Cabinet', 'Centrepiece', 'Exhibition'],
            $lines[0],
        );
        self::assertSame([9], array_values(array_unique(array_map('count', $lines))));
    }

    public function test_a_bad_import_gets_422_with_path_and_reason_and_leaves_nothing_behind(): void
    {
        $pack = Json::decode((string) $this->api('lead', 'GET', 'packs/two-stages', null, 200)->getContent());
        $pack->tiers[1]->clauses[3]->kind = 'wish';
        $pack->tiers[1]->extends = 'nowhere';
        $before = $this->api('lead', 'GET', 'standard', null, 200)->json();
        foreach (['imports', 'imports/preview'] as $path) {
            $refused = $this->send($path, Json::encode($pack))->assertStatus(422);
            self::assertSame('application/problem+json', $refused->headers->get('Content-Type'));
            self::assertStringStartsWith('/tiers/1/clauses/3', $refused->json('errors.0.pointer'));
            self::assertNotSame('', $refused->json('errors.0.detail'));
        }
        $this->send('imports', 'not json')->assertStatus(422);
        $this->send('imports', '{"format":"ordotype/hat@1"}')
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/format');
        $this->send('imports', '')->assertStatus(422);
        $order = Json::decode((string) file_get_contents(database_path('demo/orders/6-mixed.json')));
        $order->number = '99-007';
        $order->units[2]->amendments[0]->technique = 'sorcery';
        $this->send('imports', Json::encode($order))
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/units/2/amendments/0/technique');
        self::assertDatabaseMissing('orders', ['number' => '99-007']);
        self::assertSame($before, $this->api('lead', 'GET', 'standard', null, 200)->json());
        $this->actingAs($this->person('painter'))
            ->call(
                'POST',
                '/api/v1/imports',
                [],
                [],
                [],
                ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                '{}',
            )
            ->assertForbidden();
    }

    private function send(string $path, string $body): TestResponse
    {
        return $this->actingAs($this->person('lead'))->call(
            'POST',
            "/api/v1/$path",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $body,
        );
    }

    /** @param  list<array<string, mixed>>  $changes */
    private function change(array $changes, int $status): TestResponse
    {
        return $this->api('lead', 'POST', 'standard/draft/changes', ['changes' => $changes], $status);
    }

    /** @return array<string, mixed> the open version as it is exported */
    private function document(): array
    {
        $number = $this->api('lead', 'GET', 'standard', null, 200)->json('version.number');

        return $this->api('lead', 'GET', "standard/versions/$number/export", null, 200)->json();
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>|null
     */
    private function clause(array $document, string $tier, string $id): ?array
    {
        return collect(collect($document['tiers'])->firstWhere('key', $tier)['clauses'])->firstWhere('id', $id);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private function tierHead(array $document, string $tier): array
    {
        return array_diff_key(collect($document['tiers'])->firstWhere('key', $tier), ['clauses' => 0]);
    }

    /**
     * @param  array<string, mixed>  $ladder
     * @return array<string, array<string, mixed>> by tier
     */
    private function cells(array $ladder, string $suffix): array
    {
        return collect($ladder['rows'])->firstWhere('suffix', $suffix) === null
            ? []
            : array_column(collect($ladder['rows'])->firstWhere('suffix', $suffix)['cells'], null, 'tier');
    }
}
