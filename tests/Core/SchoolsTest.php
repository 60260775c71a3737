<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\School;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/**
 * Every school changes the plan of a demo figure as the trade says it does (common practice, no source), and nothing
 * else.
 */
final class SchoolsTest extends TestCase
{
    public function test_what_a_method_does_not_say_is_the_answer_it_amounts_to(): void
    {
        $standard = Demo::standard();
        foreach (['sluice-warden', 'bell-diver', 'lantern-provost'] as $sculpt) {
            $plan = fn (array $method): string => json_encode(PlanFormat::write(Demo::planner()->plan(new PlanRequest(
                $standard,
                $standard->tier('cabinet'),
                Demo::sculpt($sculpt),
                Demo::scheme(),
                MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method)),
                shelf: Demo::shelf(),
                pieces: 5,
            ))), JSON_THROW_ON_ERROR);
            foreach (School::cases() as $school) {
                if ($school->unsaid() !== null) {
                    self::assertSame($plan([]), $plan([$school->value => $school->unsaid()]), "$sculpt, $school->value");
                }
            }
        }
    }

    /**
     * @return iterable<string, array{School, string, string, callable(Plan, Plan): void}> school, answer, tier, and
     * what must differ from no method
     */
    public static function schools(): iterable
    {
        $first = fn (Plan $p, callable $is): int => self::placesOf($p, $is)[0] ?? -1;
        $metal = fn (Step $s): bool => $s->area?->isMetal() === true && $s->technique->has(Effect::BaseColour);
        $cloth = fn (Step $s): bool => $s->area !== null &&
            ! $s->area->isMetal() &&
            $s->area->rank->value !== 'ground' &&
            $s->technique->has(Effect::BaseColour);

        yield 'a dark undercoat spares the underlay of metal' => [
            School::Undercoat,
            'dark',
            'company',
            function (Plan $with, Plan $without): void {
                self::assertContains('metal_underlay', self::techniques($without, 'hook'));
                self::assertNotContains('metal_underlay', self::techniques($with, 'hook'));
            },
        ];
        yield 'a light undercoat is clean and changes no technique' => [
            School::Undercoat,
            'light',
            'company',
            fn (Plan $with, Plan $without) => self::assertSame(self::all($without), self::all($with)),
        ];
        yield 'a mid grey one neither' => [
            School::Undercoat,
            'mid_grey',
            'company',
            fn (Plan $with, Plan $without) => self::assertSame(self::all($without), self::all($with)),
        ];
        yield 'a value sketch is sprayed after the undercoat' => [
            School::Undercoat,
            'value_sketch',
            'company',
            function (Plan $with) use ($first): void {
                $sketch = $first($with, fn (Step $s) => $s->technique->has(Effect::Value));
                self::assertGreaterThan(
                    $first($with, fn (Step $s) => $s->technique->has(Effect::Undercoat)),
                    $sketch,
                );
                self::assertSame(['method.undercoat'], Reason::ids($with->work->steps[$sketch]->because));
            },
        ];
        yield 'black under metal is laid without being asked for' => [
            School::MetalGround,
            'black',
            'banner',
            function (Plan $with): void {
                foreach (['hook', 'gorget', 'buckle'] as $area) {
                    self::assertContains('metal_underlay', self::techniques($with, $area));
                }
            },
        ];
        yield 'metal as it is adds none' => [
            School::MetalGround,
            'as_is',
            'banner',
            fn (Plan $with, Plan $without) => self::assertSame(self::all($without), self::all($with)),
        ];
        yield 'metals first go before every other base' => [
            School::Metals,
            'first',
            'banner',
            fn (Plan $with) => self::assertLessThan(
                min(self::placesOf($with, $cloth)),
                max(self::placesOf($with, $metal)),
            ),
        ];
        yield 'metals last go after the varnish' => [
            School::Metals,
            'last',
            'banner',
            fn (Plan $with) => self::assertGreaterThan(
                $first($with, fn (Step $s) => $s->technique->has(Effect::Protect)),
                min(self::placesOf($with, $metal)),
            ),
        ];
        yield 'metals with the bases go among them' => [
            School::Metals,
            'with_bases',
            'banner',
            fn (Plan $with, Plan $without) => self::assertSame(self::keys($without), self::keys($with)),
        ];
        yield 'ground first keeps paint off the boots' => [
            School::Ground,
            'first',
            'banner',
            fn (Plan $with) => self::assertLessThan(
                min(self::placesOf($with, fn (Step $s) => $cloth($s) && ! $s->isSprayed())),
                max(self::placesOf($with, fn (Step $s) => $s->phase->isGround())),
            ),
        ];
        yield 'ground last comes after all paint' => [
            School::Ground,
            'last',
            'banner',
            fn (Plan $with) => self::assertGreaterThan(
                max(self::placesOf($with, $cloth)),
                min(self::placesOf($with, fn (Step $s) => $s->phase->isGround())),
            ),
        ];
        yield 'ground apart is joined at the end' => [
            School::Ground,
            'apart',
            'banner',
            function (Plan $with) use ($first): void {
                $join = $first($with, fn (Step $s) => $s->technique->key === 'join_base');
                self::assertGreaterThan(
                    max(
                        self::placesOf(
                            $with,
                            fn (Step $s) => $s->area?->rank->value === 'ground' && $s->technique->key !== 'rim_paint',
                        ),
                    ),
                    $join,
                );
            },
        ];
        yield 'by airbrush it is undercoated by airbrush' => [
            School::Spraying,
            'airbrush',
            'company',
            fn (Plan $with) => self::assertContains('prime_airbrush', self::whole($with)),
        ];
        yield 'by can no colour is sprayed' => [
            School::Spraying,
            'can',
            'company',
            function (Plan $with): void {
                self::assertContains('prime_can', self::whole($with));
                self::assertSame([], $with->sprayed);
            },
        ];
        yield 'by brush alone nothing is sprayed, and what the tier wants of it is short' => [
            School::Spraying,
            'brush_only',
            'company',
            function (Plan $with): void {
                self::assertContains('prime_brush', self::whole($with));
                self::assertSame([], self::placesOf($with, fn (Step $s) => $s->technique->family->value === 'spray'));
                $short = array_values(array_filter($with->requirements, fn ($r) => $r->state === Standing::Short));
                self::assertSame([School::Spraying], array_map(fn ($r) => $r->school, $short));
            },
        ];
        yield 'edges where light falls take four fifths' => [
            School::Edges,
            'light_facing',
            'banner',
            fn (Plan $with, Plan $without) => self::assertLessThan(
                self::edgeMinutes($without),
                self::edgeMinutes($with),
            ),
        ];
        yield 'focal edges take less still' => [
            School::Edges,
            'focal',
            'banner',
            fn (Plan $with) => self::assertLessThan(
                self::edgeMinutes(self::plan('banner', ['edges' => 'light_facing'])),
                self::edgeMinutes($with),
            ),
        ];
        yield 'every visible edge is as it was' => [
            School::Edges,
            'every_visible',
            'banner',
            fn (Plan $with, Plan $without) => self::assertEqualsWithDelta(
                $without->minutesByArea(),
                $with->minutesByArea(),
                1e-9,
            ),
        ];
        yield 'no stain where it is built up from the dark' => [
            School::Build,
            'up_from_dark',
            'company',
            fn (Plan $with) => self::assertSame([], array_intersect(['stain_coat', 'stain_fade'], self::all($with))),
        ];
        yield 'nor from the middle' => [
            School::Build,
            'from_mid',
            'company',
            fn (Plan $with) => self::assertSame([], array_intersect(['stain_coat', 'stain_fade'], self::all($with))),
        ];
        yield 'stains wherever they suit, built down' => [
            School::Build,
            'stain_down',
            'banner',
            fn (Plan $with, Plan $without) => self::assertGreaterThanOrEqual(
                count(array_keys(self::all($without), 'stain_coat', true)),
                count(array_keys(self::all($with), 'stain_coat', true)) +
                    count(array_keys(self::all($with), 'stain_fade', true)),
            ),
        ];
        yield 'no wash on skin' => [
            School::SkinWash,
            'none',
            'company',
            function (Plan $with): void {
                self::assertNotContains('wash_all_over', [
                    ...self::techniques($with, 'face'),
                    ...self::techniques($with, 'hands'),
                ]);
            },
        ];
        yield 'a wash over the skin is as it was' => [
            School::SkinWash,
            'over',
            'company',
            fn (Plan $with, Plan $without) => self::assertSame(self::keys($without), self::keys($with)),
        ];
        yield 'weathering last is as it was' => [
            School::Weathering,
            'last',
            'banner',
            fn (Plan $with, Plan $without) => self::assertSame(self::keys($without), self::keys($with)),
        ];
        yield 'backs as the front are as they were' => [
            School::Backs,
            'same',
            'banner',
            fn (Plan $with, Plan $without) => self::assertSame(self::all($without), self::all($with)),
        ];
        foreach (['clean', 'worn', 'filthy'] as $look) {
            yield "a $look look is for the check, not for the plan" => [
                School::Look,
                $look,
                'banner',
                fn (Plan $with, Plan $without) => self::assertSame(self::keys($without), self::keys($with)),
            ];
        }
        yield 'silver on gold changes a paint alone' => [
            School::GoldLight,
            'silver',
            'banner',
            fn (Plan $with, Plan $without) => self::assertSame(self::all($without), self::all($with)),
        ];
    }

    /** @param  callable(Plan, Plan): void  $differs */
    #[DataProvider('schools')]
    public function test_each_answer_changes_what_it_is_about(
        School $school,
        string $answer,
        string $tier,
        callable $differs,
    ): void {
        self::assertContains($answer, $school->answers());
        $with = self::plan($tier, [$school->value => $answer]);
        self::assertSame([], $with->conflicts());
        self::assertSame([], $with->work->cycles);
        $differs($with, self::plan($tier, []));
    }

    public function test_a_school_may_be_chosen_area_by_area_with_an_answer_for_the_rest(): void
    {
        $document = [
            'build' => [
                ['scope' => ['material' => ['cloth']], 'value' => 'from_mid'],
                ['scope' => (object) [], 'value' => 'stain_down'],
            ],
        ];
        $plan = self::plan('company', $document);
        self::assertNotContains('stain_coat', self::techniques($plan, 'trousers'));
        self::assertContains('stain_coat', self::techniques($plan, 'boots'));
        $method = self::method($document);
        self::assertSame(
            'stain_down',
            $method->answer(School::Build),
            'the one without a scope holds for the whole model',
        );
        self::assertEquals(
            Demo::object(['format' => MethodFormat::WORD] + $document),
            MethodFormat::write($method),
            'and it is written as it was read',
        );
        self::assertNull(
            self::method(['build' => [['scope' => ['material' => ['cloth']], 'value' => 'from_mid']]])->answer(
                School::Build,
            ),
        );
    }

    public function test_an_answer_that_is_none_is_named(): void
    {
        foreach (
            [
                ['metals' => 'sideways'],
                ['metals' => []],
                ['edges' => [['scope' => (object) [], 'value' => 'all']]],
                ['hats' => 'on'],
            ] as $bad
        ) {
            try {
                self::method($bad);
                self::fail((string) json_encode($bad));
            } catch (FormatException $e) {
                self::assertStringStartsWith('/'.array_key_first($bad), $e->problems[0]->path);
            }
        }
    }

    public function test_with_and_without_leave_the_other_schools_alone(): void
    {
        $method = self::method(['metals' => 'last', 'edges' => 'focal', 'undercoat_colour' => 'Tarpitch']);
        self::assertSame(
            ['first', 'focal', 'Tarpitch'],
            [
                $method->with(School::Metals, 'first')->answer(School::Metals),
                $method->with(School::Metals, 'first')->answer(School::Edges),
                $method->with(School::Metals, 'first')->undercoatColour,
            ],
        );
        self::assertSame(
            [null, 'focal'],
            [
                $method->without(School::Metals)->answer(School::Metals),
                $method->without(School::Metals)->answer(School::Edges),
            ],
        );
    }

    /** @param  array<string, mixed>  $method */
    private static function plan(string $tier, array $method): Plan
    {
        $standard = Demo::standard();

        return Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier($tier),
                Demo::sculpt(),
                Demo::scheme(),
                self::method($method),
                shelf: Demo::shelf(),
                pieces: 6,
            ),
        );
    }

    /** @param  array<string, mixed>  $method */
    private static function method(array $method): Method
    {
        return MethodFormat::read(Demo::object(['format' => MethodFormat::WORD] + $method));
    }

    /** @return list<string> */
    private static function techniques(Plan $plan, string $area): array
    {
        return array_map(
            fn (ChosenTechnique $u) => $u->technique->key,
            $plan->areas[$plan->request->sculpt->place($area)]->choice->techniques ?? [],
        );
    }

    /** @return list<string> */
    private static function all(Plan $plan): array
    {
        return array_merge(...array_map(fn ($a) => self::techniques($plan, $a->key), $plan->request->sculpt->areas));
    }

    /** @return list<string> */
    private static function whole(Plan $plan): array
    {
        return array_map(fn (ChosenTechnique $u) => $u->technique->key, $plan->whole->choice->techniques ?? []);
    }

    /** @return list<string> */
    private static function keys(Plan $plan): array
    {
        return array_map(fn (Step $s) => $s->key()->id, $plan->work->steps);
    }

    private static function edgeMinutes(Plan $plan): float
    {
        return array_sum(
            array_map(fn (Step $s) => $s->technique->key === 'edge_highlight' ? $s->minutes : 0.0, $plan->work->steps),
        );
    }

    /**
     * @param  callable(Step): bool  $is
     * @return list<int>
     */
    private static function placesOf(Plan $plan, callable $is): array
    {
        return array_keys(array_filter($plan->work->steps, $is));
    }
}
