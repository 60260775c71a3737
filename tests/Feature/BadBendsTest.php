<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Activity;
use App\Models\Unit;
use PHPUnit\Framework\Attributes\DataProvider;

/** What is refused when a plan is bent, with the place that is wrong; and what is written down when it is not. */
final class BadBendsTest extends StudioTestCase
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

    /**
     * @return iterable<string, array{string, string, array<string, mixed>, int, string|null}> method, path after the
     * unit, body without revision, status, pointer
     */
    public static function bad(): iterable
    {
        yield 'a move of nothing' => ['POST', 'move', ['to' => 3], 422, '/step'];
        yield 'a move before the first' => ['POST', 'move', ['step' => 'coat:spray_base:1', 'to' => -1], 422, '/to'];
        yield 'a sequence that is a word' => ['PUT', 'sequence', ['sequence' => 'all'], 422, '/sequence'];
        yield 'a sequence of numbers' => ['PUT', 'sequence', ['sequence' => [7]], 422, '/sequence/0'];
        yield 'a paint for no step' => ['PUT', 'step', ['paint' => 'Ember'], 422, '/step'];
        yield 'a paint for a step that is not there' => [
            'PUT',
            'step',
            ['step' => 'coat:juggling:1', 'paint' => 'Ember'],
            422,
            '/step',
        ];
        yield 'a note as long as a book' => [
            'PUT',
            'step',
            ['step' => 'coat:spray_base:1', 'note' => str_repeat('a', 501)],
            422,
            '/note',
        ];
        yield 'an aim that is none' => ['PUT', 'aim', ['aim' => 'prettiest'], 422, '/aim'];
        yield 'a rule set aside without the steps' => [
            'POST',
            'overrules',
            ['rules' => [['rule' => 'phase']], 'reason' => 'Why not.'],
            422,
            '/rules/0/earlier',
        ];
        yield 'a rule set aside between steps that are not there' => [
            'POST',
            'overrules',
            [
                'rules' => [['rule' => 'phase', 'earlier' => 'moon:base_coat', 'later' => 'coat:spray_base']],
                'reason' => 'Why not.',
            ],
            422,
            '/rules/0/earlier',
        ];
        yield 'a rule upheld that was not set aside' => ['DELETE', 'overrules/5', [], 404, null];
        yield 'variants without a name' => [
            'PUT',
            'variants',
            ['variants' => [['share' => 0.5]]],
            422,
            '/variants/0/name',
        ];
        yield 'a variant of nobody' => [
            'PUT',
            'variants',
            ['variants' => [['name' => 'None', 'share' => 0]]],
            422,
            '/variants/0/share',
        ];
        yield 'a variant with a technique that is none' => [
            'PUT',
            'variants',
            [
                'variants' => [
                    [
                        'name' => 'Odd',
                        'share' => 0.5,
                        'colours' => null,
                        'amendments' => [['do' => 'add', 'technique' => 'juggling'] + self::AMENDMENT],
                    ],
                ],
            ],
            422,
            null,
        ];
        yield 'a copy to nowhere' => ['POST', 'copy', ['to' => 999999], 404, null];
        yield 'an amendment on no models' => [
            'POST',
            'amendments',
            ['amendment' => ['on' => ['pieces' => 0]] + self::AMENDMENT],
            422,
            '/amendment/on/pieces',
        ];
        yield 'an amendment on more than all' => [
            'POST',
            'amendments',
            ['amendment' => ['on' => ['share' => 1.5]] + self::AMENDMENT],
            422,
            '/amendment/on/share',
        ];
        yield 'an amendment on both' => [
            'POST',
            'amendments',
            ['amendment' => ['on' => ['share' => 0.5, 'pieces' => 3]] + self::AMENDMENT],
            422,
            '/amendment/on',
        ];
        yield 'an amendment of a model that is not there' => [
            'POST',
            'amendments',
            ['piece' => 77, 'amendment' => ['level' => 'piece'] + self::AMENDMENT],
            404,
            null,
        ];
        yield 'changes by hand for a model that is not there' => [
            'PUT',
            'plan',
            ['piece' => 77, 'edits' => []],
            404,
            null,
        ];
        yield 'a raise before it is on the bench' => [
            'POST',
            'raise',
            ['tier' => 'banner', 'from' => 'finished'],
            409,
            null,
        ];
        yield 'a raise from somewhere else' => [
            'POST',
            'raise',
            ['tier' => 'banner', 'from' => 'memory'],
            422,
            '/from',
        ];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('bad')]
    public function test_what_is_wrong_is_named_and_nothing_is_kept(
        string $method,
        string $path,
        array $body,
        int $status,
        ?string $pointer,
    ): void {
        $unit = $this->unit('26-041');
        foreach (['scope', 'values'] as $key) {
            if (isset($body['amendment'])) {
                $body['amendment'][$key] = (object) $body['amendment'][$key];
            }
        }
        $before = Unit::query()->findOrFail($unit->id)->getAttributes();
        $answer = $this->api(
            'lead',
            $method,
            "units/$unit->id/$path",
            $body + ['revision' => $unit->revision],
            $status,
        );
        if ($pointer !== null) {
            self::assertContains(
                $pointer,
                array_column($answer->json('errors'), 'pointer'),
                (string) json_encode($answer->json('errors')),
            );
        }
        self::assertNotSame('', $answer->json('detail'));
        self::assertSame($before, Unit::query()->findOrFail($unit->id)->getAttributes());
    }

    public function test_every_bend_with_an_old_revision_gets_the_current_state_instead(): void
    {
        $unit = $this->unit('26-041');
        $keys = array_column($this->api('lead', 'GET', "units/$unit->id/plan", null, 200)->json('plan.steps'), 'key');
        $amendment = ['scope' => (object) ['area' => ['boots']], 'values' => (object) []] + self::AMENDMENT;
        $calls = [
            ['PUT', 'sequence', ['sequence' => $keys]],
            ['PUT', 'step', ['step' => $keys[5], 'paint' => 'Ember', 'note' => null]],
            ['PUT', 'practice', ['technique' => 'glaze']],
            ['PUT', 'aim', ['aim' => 'best']],
            [
                'POST',
                'overrules',
                [
                    'rules' => [
                        [
                            'rule' => 'phase',
                            'earlier' => implode(':', array_slice(explode(':', $keys[0]), 0, 2)),
                            'later' => implode(':', array_slice(explode(':', $keys[1]), 0, 2)),
                        ],
                    ],
                    'reason' => 'Tried.',
                ],
            ],
            ['PUT', 'variants', ['variants' => []]],
            ['POST', 'amendments', ['amendment' => $amendment]],
            ['PUT', 'plan', ['edits' => (object) []]],
        ];
        foreach ($calls as [$method, $path, $body]) {
            $answer = $this->api('lead', $method, "units/$unit->id/$path", $body + ['revision' => 0], 409);
            self::assertSame(1, $answer->json('current.revision'), $path);
        }
        $this->api(
            'lead',
            'PUT',
            "pieces/{$unit->pieces()->firstOrFail()->id}/lacks",
            ['lacks' => ['hook'], 'revision' => 0],
            409,
        );
        self::assertSame(1, Unit::query()->findOrFail($unit->id)->revision);
    }

    public function test_what_is_bent_is_written_down_with_who_before_and_after(): void
    {
        $unit = $this->unit('26-041');
        $keys = array_column($this->api('lead', 'GET', "units/$unit->id/plan", null, 200)->json('plan.steps'), 'key');
        $this->api('lead', 'PUT', "units/$unit->id/aim", ['revision' => 1, 'aim' => 'best'], 200)->assertJsonPath(
            'aim',
            'best',
        );
        $keys = array_column($this->api('lead', 'GET', "units/$unit->id/plan", null, 200)->json('plan.steps'), 'key');
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/step",
            ['revision' => 2, 'step' => $keys[6], 'paint' => null, 'note' => 'Thin it.'],
            200,
        );
        $this->api(
            'lead',
            'PUT',
            "pieces/{$unit->pieces()->firstOrFail()->id}/lacks",
            ['revision' => 3, 'lacks' => ['hook']],
            200,
        );
        $this->api(
            'lead',
            'PUT',
            "units/$unit->id/variants",
            ['revision' => 4, 'variants' => [['name' => 'Other', 'share' => 0.5]]],
            200,
        );
        $this->api(
            'lead',
            'PUT',
            'schemes/tidemark',
            ['number' => 1, 'document' => ['name' => 'Tidemark', 'slots' => (object) [], 'areas' => (object) []]],
            200,
        );
        $lead = $this->person('lead')->id;
        foreach (['plan.aim', 'plan.step', 'piece.lacks', 'unit.variants', 'scheme.edited'] as $action) {
            $written = Activity::query()->where('action', $action)->orderByDesc('id')->firstOrFail();
            self::assertSame($lead, $written->user_id, $action);
            self::assertNotSame($written->before, $written->after, $action);
        }
    }

    public function test_on_the_bench_a_plan_stays_as_it_was_released(): void
    {
        $unit = $this->unit('26-033');
        foreach (
            [
                ['PUT', 'sequence', ['sequence' => []]],
                ['PUT', 'aim', ['aim' => 'best']],
                ['PUT', 'practice', ['technique' => null]],
                ['PUT', 'variants', ['variants' => []]],
                ['PUT', 'plan', ['edits' => (object) []]],
            ] as [$method, $path, $body]
        ) {
            $answer = $this->api(
                'lead',
                $method,
                "units/$unit->id/$path",
                $body + ['revision' => $unit->revision],
                409,
            );
            self::assertStringContainsString('on the bench', $answer->json('detail'), $path);
        }
        $this->api(
            'lead',
            'PUT',
            "pieces/{$unit->pieces()->firstOrFail()->id}/lacks",
            ['revision' => $unit->revision, 'lacks' => ['hook']],
            409,
        );
        self::assertFalse($this->api('lead', 'GET', "units/$unit->id/plan", null, 200)->json('editable'));
    }

    public function test_painters_and_the_desk_read_a_plan_and_change_nothing_of_it(): void
    {
        $unit = $this->unit('26-041');
        foreach (['painter', 'desk'] as $who) {
            self::assertFalse($this->api($who, 'GET', "units/$unit->id/plan", null, 200)->json('editable'));
            $this->api($who, 'PUT', "units/$unit->id/aim", ['revision' => 1, 'aim' => 'best'], 403);
            $this->api(
                $who,
                'POST',
                "units/$unit->id/raise",
                ['revision' => 1, 'tier' => 'banner', 'from' => 'finished'],
                403,
            );
        }
        $this->api('painter', 'GET', 'sculpts', null, 403);
        $this->api('desk', 'GET', 'sculpts', null, 200);
        $this->api('desk', 'POST', 'sculpts/try', ['document' => ['name' => 'x']], 403);
    }
}
