<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\ChangeFormat;
use Ordotype\Core\Format\DocumentEdits;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Ladder\WeakerRungs;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\LadderWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\Asked;
use Tests\Support\Demo;
use Tests\Support\RandomCase;

final class LadderLintTest extends TestCase
{
    /** What an hour costs in these tests, in the standard's currency; invented. */
    private const RATE = '20.00';

    /** @return iterable<string, array{string}> */
    public static function packs(): iterable
    {
        yield from [
            'five rungs' => ['five-rungs'],
            'two stages' => ['two-stages'],
            'three grades' => ['three-grades'],
        ];
    }

    #[DataProvider('packs')]
    public function test_a_shipped_pack_has_no_finding_on_the_studios_figures_and_is_given_back_as_it_was_read(
        string $pack,
    ): void {
        $document = Demo::json("standards/$pack.json");
        self::assertSame(
            [],
            (new Lint(StandardFormat::read($document), self::figures(), Money::of(self::RATE)))->findings(),
        );
        self::assertSame(
            CanonicalJson::encode($document),
            CanonicalJson::encode(StandardFormat::write(StandardFormat::read($document))),
        );
    }

    /**
     * @return iterable<string, array{string, callable(stdClass): void, 2?: bool}> kind, how a sound ladder gets the
     * defect, whether its own change puts it right
     */
    public static function defects(): iterable
    {
        $clause = fn (stdClass $d, string $id): stdClass => array_values(
            array_filter(array_merge(...array_map(fn ($t) => $t->clauses, $d->tiers)), fn ($c) => $c->id === $id),
        )[0];
        $add = function (stdClass $d, string $tier, array $c): void {
            foreach ($d->tiers as $t) {
                if ($t->key === $tier) {
                    $t->clauses[] = Demo::object($c);
                }
            }
        };
        yield 'edges of the fourth rung fall behind the third' => [
            'asks_less',
            fn (stdClass $d) => [
                ($clause($d, 'cabinet.edges')->extent = 'prominent'),
                ($clause($d, 'cabinet.edges')->passes = 1),
            ],
        ];
        yield 'fewer steps on a higher rung' => [
            'asks_less',
            fn (stdClass $d) => ($clause($d, 'cabinet.steps.main')->min = 2),
        ];
        yield 'less contrast on a higher rung' => [
            'asks_less',
            fn (stdClass $d) => ($clause($d, 'company.span')->limit = 10),
        ];
        yield 'a needed technique that the next rung does not offer' => [
            'asks_less',
            fn (stdClass $d) => $add($d, 'company', [
                'id' => 'company.mould',
                'kind' => 'technique',
                'technique' => 'mould_line_removal',
                'status' => 'not_offered',
            ]),
        ];
        yield 'an effect on fewer materials' => [
            'asks_less',
            fn (stdClass $d) => ($clause($d, 'banner.eyes')->scope = Demo::object([
                'material' => ['eye'],
                'except' => ['role' => ['hero']],
            ])),
        ];
        yield 'the same rung twice' => [
            'same_as',
            function (stdClass $d): void {
                $copy = Demo::object(
                    [
                        'key' => 'banner_again',
                        'name' => 'Banner again',
                        'order' => 3,
                        'extends' => 'banner',
                        'clauses' => [],
                    ] + (array) $d->tiers[3],
                );
                unset($copy->drop);
                array_splice($d->tiers, 4, 0, [$copy]);
            },
        ];
        yield 'a clause on nothing' => [
            'matches_nothing',
            fn (stdClass $d) => $add($d, 'banner', [
                'id' => 'banner.x',
                'kind' => 'effect',
                'effect' => 'glow',
                'scope' => ['rank' => ['main'], 'except' => ['rank' => ['main']]],
            ]),
        ];
        yield 'a floor above its ceiling' => [
            'floor_above_ceiling',
            fn (stdClass $d) => $add($d, 'centrepiece', [
                'id' => 'centrepiece.x',
                'kind' => 'steps',
                'min' => 4,
                'max' => 2,
                'scope' => ['area' => ['sail'], 'rank' => ['detail']],
            ]),
        ];
        yield 'an effect that nobody may produce' => [
            'nobody_may',
            function (stdClass $d) use ($add): void {
                foreach ($d->techniques as $t) {
                    if (isset($t->effects->ground_wet)) {
                        $add($d, 'centrepiece', [
                            'id' => "centrepiece.no_$t->key",
                            'kind' => 'technique',
                            'technique' => $t->key,
                            'status' => 'not_offered',
                            'scope' => ['area' => ['pond']],
                        ]);
                    }
                }
                $add($d, 'centrepiece', [
                    'id' => 'centrepiece.x',
                    'kind' => 'effect',
                    'effect' => 'ground_wet',
                    'scope' => ['area' => ['pond']],
                ]);
            },
        ];
        yield 'marks too small to be seen' => [
            'nobody_sees',
            function (stdClass $d) use ($add): void {
                array_values(
                    array_filter($d->techniques, fn ($t) => $t->key === 'mould_line_removal'),
                )[0]->mark_mm = 5;
                foreach ($d->techniques as $t) {
                    if ($t->key === 'scratch_lines') {
                        $t->mark_mm = 0.01;
                    }
                }
                $d->techniques[] = Demo::object(
                    [
                        'key' => 'hairline',
                        'name' => 'Hairline',
                        'mark_mm' => 0.01,
                        'effects' => ['freehand' => 'spot'],
                    ] + (array) array_values(array_filter($d->techniques, fn ($t) => $t->key === 'freehand'))[0],
                );
                $add($d, 'centrepiece', [
                    'id' => 'centrepiece.x',
                    'kind' => 'technique',
                    'technique' => 'hairline',
                    'status' => 'required',
                    'extent' => 'spot',
                    'scope' => ['area' => ['banner_pole']],
                ]);
            },
        ];
        yield 'a side nobody looks at' => [
            'nobody_sees',
            fn (stdClass $d) => $add($d, 'cabinet', [
                'id' => 'cabinet.x',
                'kind' => 'finish',
                'criterion' => 'tonal_span',
                'limit' => 5,
                'scope' => ['facing' => ['under'], 'role' => ['horde']],
            ]),
        ];
        yield 'work below the bar' => [
            'lowers_bar',
            fn (stdClass $d) => $add($d, 'centrepiece', [
                'id' => 'centrepiece.x',
                'kind' => 'effect',
                'effect' => 'highlight_raised',
                'by' => ['overbrush'],
                'scope' => ['area' => ['sail']],
            ]),
            false,
        ];
        yield 'too few minutes' => ['over_minutes', fn (stdClass $d) => ($clause($d, 'banner.minutes')->max = 45)];
        yield 'a price below cost' => [
            'below_cost',
            function (stdClass $d): void {
                foreach ($d->prices as $price) {
                    if ($price->tier === 'banner' && $price->size === 'infantry' && $price->role === 'hero') {
                        $price->low = '5.00';
                    }
                }
            },
        ];
    }

    /** @param  callable(stdClass): mixed  $spoil */
    #[DataProvider('defects')]
    public function test_a_ladder_with_just_one_defect_has_just_that_finding_and_its_change_puts_it_right(
        string $kind,
        callable $spoil,
        bool $curable = true,
    ): void {
        $document = Demo::json('standards/five-rungs.json');
        assert($document instanceof stdClass);
        $spoil($document);
        $findings = (new Lint(StandardFormat::read($document), self::figures(), Money::of(self::RATE)))->findings();
        self::assertSame(
            [$kind],
            array_map(fn (Finding $f) => $f->kind->value, $findings),
            implode("\n", array_map(fn (Finding $f) => (new LadderWords(Demo::standard()))->why($f), $findings)),
        );
        $words = new LadderWords(StandardFormat::read($document));
        self::assertNotSame('', $words->why($findings[0]));
        self::assertNotSame('', $words->change($findings[0]));
        if ($curable) {
            $edits = array_map(ChangeFormat::write(...), $findings[0]->edits);
            self::assertNotSame([], $edits);
            $cured = DocumentEdits::apply($document, $edits);
            self::assertSame(
                [],
                array_map(
                    fn (Finding $f) => (new LadderWords(Demo::standard()))->why($f),
                    (new Lint(StandardFormat::read($cured), self::figures(), Money::of(self::RATE)))->findings(),
                ),
            );
            $back = DocumentEdits::apply($cured, array_reverse(array_map(fn ($e) => $e->undone(), $edits)));
            self::assertSame(CanonicalJson::encode($document), CanonicalJson::encode($back), 'and it is undone');
        }
    }

    public function test_what_cannot_be_met_on_a_figure_is_found_there(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'steps', 'min' => 0, 'max' => 1],
            ['kind' => 'technique', 'technique' => 'layer', 'status' => 'required', 'passes' => 3],
        ]);
        $kinds = array_unique(
            array_map(
                fn (Finding $f) => $f->kind->value,
                (new Lint($standard, [Demo::sculptOf(['coat' => []])]))->findings(),
            ),
        );
        self::assertSame(['cannot_be_met'], $kinds);
        self::assertSame([], (new Lint($standard))->findings(), 'no figure, nothing to see');
    }

    public function test_a_stronger_tier_never_takes_less_and_every_planted_weakening_is_found(): void
    {
        $stronger = $weaker = $planted = 0;
        for ($seed = 1; $seed <= 500; $seed++) {
            $random = new Randomizer(new Mt19937(1000 + $seed));
            $case = new RandomCase($seed);
            $document = $case->standard();
            $figure = $case->figure();
            $strong = StandardFormat::read(
                self::withSecond($document, fn (stdClass $t) => self::strengthen($t, $document->techniques, $random)),
            );
            [$low, $high] = [self::choose($strong, 'tier', $figure), self::choose($strong, 'second', $figure)];
            foreach ($low as $i => $planned) {
                if (
                    $planned->choice !== null &&
                    $high[$i]->choice !== null &&
                    $planned->gradeBar === $high[$i]->gradeBar
                ) {
                    $stronger++;
                    self::assertGreaterThanOrEqual(
                        $planned->choice->minutes - 1e-9,
                        $high[$i]->choice->minutes,
                        "seed $seed, area $i",
                    );
                }
            }
            self::assertSame(
                [],
                array_map(
                    fn (Finding $f) => (new LadderWords(Demo::standard()))->why($f),
                    (new WeakerRungs($strong))->between($strong->tier('tier'), $strong->tier('second')),
                ),
                "seed $seed: stronger is not weaker",
            );

            $weak = StandardFormat::read(self::withSecond($document, fn (stdClass $t) => self::weaken($t, $random)));
            $found = (new WeakerRungs($weak))->between($weak->tier('tier'), $weak->tier('second'));
            (new Lint($weak, [$figure]))->findings();
            $planted++;
            if (self::fallsShort(self::choose($weak, 'tier', $figure), self::choose($weak, 'second', $figure))) {
                $weaker++;
                self::assertNotSame(
                    [],
                    $found,
                    "seed $seed: the plan of the weaker tier does not meet the other, and nothing was said",
                );
            }
        }
        self::assertGreaterThan(300, $stronger);
        self::assertGreaterThan(60, $weaker, 'enough of the plants must be real');
        self::assertSame(500, $planted);
    }

    /** @return list<PlannedArea> */
    private static function choose(Standard $standard, string $tier, Sculpt $figure): array
    {
        return Demo::planner()->choose(new PlanRequest($standard, $standard->tier($tier), $figure))->areas;
    }

    /**
     * Whether what is done under the second tier leaves something undone that the first asks: told from the choice
     * alone, without the lint's own notion of implying.
     *
     * @param  list<PlannedArea>  $first
     * @param  list<PlannedArea>  $second
     */
    private static function fallsShort(array $first, array $second): bool
    {
        foreach ($first as $i => $planned) {
            $choice = $second[$i]->choice;
            foreach ($choice === null ? [] : Asked::all($planned->demand->requirements) as $asked) {
                if ($asked->met(Asked::uses($choice->techniques)) < $asked->least()) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  callable(stdClass): void  $change */
    private static function withSecond(stdClass $document, callable $change): stdClass
    {
        $copy = Json::decode(str_replace('"tier.', '"second.', Json::encode($document->tiers[0])));
        assert($copy instanceof stdClass);
        $copy->key = 'second';
        $copy->name = 'Second';
        $copy->order = 2;
        $change($copy);
        $result = clone $document;
        $result->tiers = [$document->tiers[0], $copy];

        return $result;
    }

    /** @param  list<stdClass>  $techniques */
    private static function strengthen(stdClass $tier, array $techniques, Randomizer $random): void
    {
        // What fewer techniques can give may ask nothing on some areas: that would not be stronger.
        $serving = fn (stdClass $c, string $extent): array => array_filter(
            $techniques,
            fn (stdClass $t) => (! isset($c->by) || in_array($t->key, $c->by, true)) &&
                array_filter(
                    (array) $c->effect,
                    fn (string $e) => (Extent::named($t->effects->{$e} ?? 'none')->value ?? 0) >=
                        (Extent::named($extent)->value ?? 0),
                ) !== [],
        );
        foreach ($tier->clauses as $clause) {
            if ($random->getInt(0, 1) === 0) {
                continue;
            }
            if ($clause->kind === 'effect') {
                $clause->passes = ($clause->passes ?? 1) + $random->getInt(0, 1);
                if (count($serving($clause, 'full')) === count($serving($clause, $clause->extent ?? 'full'))) {
                    $clause->extent = 'full';
                }
            } elseif ($clause->kind === 'steps') {
                $clause->min += $random->getInt(0, 1);
                if ($clause->max !== null && $clause->max - 1 >= $clause->min) {
                    $clause->max--;
                }
            }
        }
        // A technique that is allowed wherever it fits, and clean enough for any bar, may be needed by name too.
        $named = array_merge(
            ...array_map(fn (stdClass $c) => [$c->technique ?? null, $c->family ?? null], $tier->clauses),
            ...[[]],
        );
        foreach ($techniques as $t) {
            if (
                $tier->default_status === 'allowed' &&
                in_array($t->grade, [null, 5], true) &&
                ! isset($t->effects->base_colour) &&
                ! in_array($t->key, $named, true) &&
                ! in_array($t->family, $named, true) &&
                $random->getInt(0, 1) === 0
            ) {
                $tier->clauses[] = Demo::object([
                    'id' => 'second.needed',
                    'kind' => 'technique',
                    'technique' => $t->key,
                    'status' => 'required',
                ]);
                break;
            }
        }
        $tier->clauses[] = Demo::object([
            'id' => 'second.more',
            'kind' => 'effect',
            'effect' => ['shade', 'blend', 'highlight_edge'][$random->getInt(0, 2)],
            'extent' => ['spot', 'full'][$random->getInt(0, 1)],
        ]);
    }

    private static function weaken(stdClass $tier, Randomizer $random): void
    {
        $floors = array_values(
            array_filter(
                array_keys($tier->clauses),
                fn (int $i) => in_array($tier->clauses[$i]->kind, ['effect', 'steps'], true) ||
                    ($tier->clauses[$i]->status ?? '') === 'required',
            ),
        );
        if ($floors === []) {
            return;
        }
        $i = $floors[$random->getInt(0, count($floors) - 1)];
        $clause = $tier->clauses[$i];
        if ($clause->kind === 'steps') {
            $clause->min = 0;
        } elseif ($clause->kind === 'effect' && ($clause->passes ?? 1) > 1) {
            $clause->passes--;
        } else {
            array_splice($tier->clauses, $i, 1);
        }
    }

    /** @return list<Sculpt> */
    private static function figures(): array
    {
        return array_map(Demo::sculpt(...), [
            'sluice-warden',
            'lantern-provost',
            'mudlark',
            'bell-diver',
            'reedback-toad',
            'ferry-gun',
        ]);
    }
}
