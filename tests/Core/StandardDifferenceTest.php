<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\DocumentEdit;
use Ordotype\Core\Format\DocumentEdits;
use Ordotype\Core\Format\EditClash;
use Ordotype\Core\Format\LadderCsv;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Ladder\ComparisonSheet;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Ladder\StandardChange;
use Ordotype\Core\Ladder\StandardDifference;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Words\ChangeWords;
use Ordotype\Core\Words\ClauseWords;
use Ordotype\Core\Words\Voices;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Demo;

/** What differs between versions and tiers, edits, and the ladder in words. */
final class StandardDifferenceTest extends TestCase
{
    /**
     * @return iterable<string, array{callable(stdClass): void, list<array{string, string, list<string>}>}> what is
     * done, and what is said: kind, what, tiers
     */
    public static function changes(): iterable
    {
        $clause = function (stdClass $d, string $id): stdClass {
            foreach ($d->tiers as $tier) {
                foreach ($tier->clauses as $c) {
                    if ($c->id === $id) {
                        return $c;
                    }
                }
            }
            self::fail($id);
        };
        yield 'nothing' => [fn () => null, []];
        yield 'a wider extent' => [
            fn (stdClass $d) => ($clause($d, 'company.edges')->extent = 'full'),
            [['tightened', 'clause', ['Company']]],
        ];
        yield 'a lower floor that rungs above take over' => [
            fn (stdClass $d) => ($clause($d, 'muster.shade')->extent = 'prominent'),
            [['loosened', 'clause', ['Muster', 'Company', 'Banner', 'Cabinet', 'Centrepiece']]],
        ];
        yield 'fewer minutes' => [
            fn (stdClass $d) => ($clause($d, 'banner.minutes')->max = 200),
            [['tightened', 'clause', ['Banner']]],
        ];
        yield 'a stricter limit' => [
            fn (stdClass $d) => ($clause($d, 'cabinet.drift')->limit = 2),
            [['tightened', 'clause', ['Cabinet']]],
        ];
        yield 'another effect' => [
            fn (stdClass $d) => ($clause($d, 'banner.lines')->effect = 'separate_tinted'),
            [['changed', 'clause', ['Banner']]],
        ];
        yield 'another scope' => [
            fn (stdClass $d) => ($clause($d, 'banner.eyes')->scope->role = ['hero']),
            [['changed', 'clause', ['Banner']]],
        ];
        yield 'a technique not offered any more' => [
            fn (stdClass $d) => ($clause($d, 'muster.mould')->status = 'not_offered'),
            [['loosened', 'clause', ['Muster', 'Company', 'Banner', 'Cabinet', 'Centrepiece']]],
        ];
        yield 'the pace of a tier' => [fn (stdClass $d) => ($d->tiers[2]->pace = 'even'), [['changed', 'tier', []]]];
        yield 'a technique that takes longer' => [
            fn (stdClass $d) => ($d->techniques[10]->hand = 9.5),
            [['changed', 'technique', []]],
        ];
        yield 'a price' => [fn (stdClass $d) => ($d->prices[0]->high = null), [['changed', 'price', []]]];
        yield 'a price gone' => [fn (stdClass $d) => array_pop($d->prices), [['dropped', 'price', []]]];
    }

    /**
     * @param  callable(stdClass): mixed  $change
     * @param  list<array{string, string, list<string>}>  $said
     */
    #[DataProvider('changes')]
    public function test_versions_are_compared_as_their_tiers_resolve(callable $change, array $said): void
    {
        $document = Demo::json('standards/five-rungs.json');
        assert($document instanceof stdClass);
        $change($document);
        $after = StandardFormat::read($document);
        self::assertSame($said, self::told((new StandardDifference(Demo::standard(), $after))->changes));
        $back = [
            'tightened' => 'loosened',
            'loosened' => 'tightened',
            'added' => 'dropped',
            'dropped' => 'added',
            'changed' => 'changed',
        ];
        self::assertSame(
            array_map(fn (array $s) => [$back[$s[0]], $s[1], $s[2]], $said),
            self::told((new StandardDifference($after, Demo::standard()))->changes),
        );
    }

    public function test_an_edit_is_refused_where_it_does_not_start_from_what_is_there(): void
    {
        $document = Demo::json('standards/five-rungs.json');
        assert($document instanceof stdClass);
        $price = clone $document->prices[0];
        $more = clone $price;
        $more->low = '9.00';
        $after = DocumentEdits::apply($document, [new DocumentEdit('price', null, $price, $more)]);
        self::assertSame('9.00', $after->prices[0]->low);
        self::assertSame($price->low, $document->prices[0]->low, 'the document itself stays');
        self::assertSame(
            CanonicalJson::encode($document),
            CanonicalJson::encode(
                DocumentEdits::apply($after, [(new DocumentEdit('price', null, $price, $more))->undone()]),
            ),
        );
        try {
            DocumentEdits::apply($after, [new DocumentEdit('price', null, $price, null)]);
            self::fail('It was applied.');
        } catch (EditClash $e) {
            self::assertSame([0, '9.00'], [$e->place, $e->current->low ?? null]);
        }
        $this->expectException(FormatException::class);
        DocumentEdits::apply($document, [
            new DocumentEdit('clause', 'attic', null, Demo::object(['id' => 'attic.x'])),
        ]);
    }

    public function test_what_is_stronger_is_told_by_kind(): void
    {
        $clause = fn (array $c) => Demo::tierOf([$c])->tiers[0]->clauses[0];
        $edge = ['kind' => 'effect', 'effect' => 'highlight_edge'];
        self::assertTrue($clause(['passes' => 2] + $edge)->implies($clause($edge)));
        self::assertFalse($clause($edge)->implies($clause(['passes' => 2] + $edge)));
        self::assertTrue($clause(['by' => ['edge_highlight']] + $edge)->implies($clause($edge)));
        self::assertFalse(
            $clause(['scope' => ['rank' => ['main']]] + $edge)->implies($clause($edge)),
            'another scope',
        );
        self::assertTrue(
            $clause(['kind' => 'finish', 'criterion' => 'colour_drift', 'limit' => 3])->implies(
                $clause(['kind' => 'finish', 'criterion' => 'colour_drift', 'limit' => 5]),
            ),
            'less drift is more',
        );
        self::assertFalse(
            $clause(['kind' => 'finish', 'criterion' => 'tonal_span', 'limit' => 3])->implies(
                $clause(['kind' => 'finish', 'criterion' => 'tonal_span', 'limit' => 5]),
            ),
        );
        self::assertTrue(
            $clause(['kind' => 'steps', 'min' => 3, 'max' => 3])->implies(
                $clause(['kind' => 'steps', 'min' => 2, 'max' => null]),
            ),
            'ceilings do not count',
        );
    }

    public function test_every_clause_of_the_packs_reads_as_a_sentence(): void
    {
        foreach (['five-rungs', 'two-stages', 'three-grades'] as $pack) {
            $standard = StandardFormat::read(Demo::json("standards/$pack.json"));
            foreach ($standard->tiers as $tier) {
                foreach ($tier->clauses as $clause) {
                    $words = (new ClauseWords($standard))->sentence($clause);
                    self::assertStringNotContainsString('_', $words, $clause->id);
                    self::assertNotSame($clause->id, $words);
                }
            }
        }
        self::assertSame(
            'edge highlights where it stands out most in 2 passes, on main or secondary, with '.
                'hard edges, except cloth, by edge highlight',
            (new ClauseWords(Demo::standard()))->sentence(
                Demo::tierOf([
                    [
                        'kind' => 'effect',
                        'effect' => 'highlight_edge',
                        'extent' => 'prominent',
                        'passes' => 2,
                        'by' => ['edge_highlight'],
                        'scope' => [
                            'rank' => ['main', 'secondary'],
                            'relief' => ['hard_edges'],
                            'except' => ['material' => ['cloth']],
                        ],
                    ],
                ])->tiers[0]->clauses[0],
            ),
        );
    }

    public function test_the_csv_has_a_line_for_each_row_and_no_field_a_spreadsheet_would_run(): void
    {
        $standard = Demo::tierOf([
            ['kind' => 'skill', 'min' => 2, 'label' => '=1+1'],
            ['kind' => 'steps', 'min' => 1, 'max' => 2, 'label' => 'Steps, "all"'],
        ]);
        $lines = explode("\r\n", trim(LadderCsv::of($standard)));
        self::assertCount(1 + count((new Grid($standard))->rows()), $lines);
        $rows = array_map(fn (string $l) => str_getcsv($l, ',', '"', ''), $lines);
        self::assertContains("'=1+1", array_column($rows, 1));
        self::assertContains('Steps, "all"', array_column($rows, 1));
    }

    public function test_two_voices_say_the_same_difference_and_the_sheet_says_what_one_does_not_get(): void
    {
        $standard = Demo::standard();
        $plan = fn (string $tier) => Demo::planner()->plan(
            new PlanRequest($standard, $standard->tier($tier), Demo::sculpt('mudlark')),
        );
        $up = new Voices(new TierDifference($plan('muster'), $plan('company')));
        $down = new Voices(new TierDifference($plan('company'), $plan('muster')));
        self::assertContains('Raised forms are lightened.', $up->gains());
        self::assertSame([], array_diff($down->losses(), [...$up->gains(), ...$down->losses()]));
        self::assertContains('Raised forms are lightened.', $down->losses());
        $added = array_filter($up->painters(), fn (array $l) => $l['what'] === 'light on raised forms');
        self::assertSame(['added'], array_values(array_unique(array_column($added, 'change'))));
        self::assertNotSame([], $up->techniques());
        $same = new Voices(new TierDifference($plan('banner'), $plan('banner')));
        self::assertSame([[], [], []], [$same->gains(), $same->losses(), $same->painters()]);

        $sheet = new ComparisonSheet($standard, Demo::sculpt('mudlark'));
        self::assertSame(
            ['Muster', 'Company', 'Banner', 'Cabinet', 'Centrepiece'],
            array_map(fn ($r) => $r->tier->name, $sheet->rungs),
            'neither retired nor open ones',
        );
        foreach ($sheet->rungs as $i => $rung) {
            $adds = fn ($r): array => (new Voices($r->fromBelow))->gains();
            self::assertNotSame([], $adds($rung));
            $next = $sheet->rungs[$i + 1] ?? null;
            self::assertSame($next === null, $rung->toNext === null);
            self::assertSame(
                $next === null ? [] : $adds($next),
                $rung->toNext === null ? [] : (new Voices($rung->toNext))->gains(),
            );
        }
        self::assertSame('12.10', $sheet->rungs[1]->price()?->low);
        self::assertNotContains(
            'Stronger contrast between light and shadow',
            (new Voices($sheet->rungs[0]->fromBelow))->gains(),
        );
    }

    /**
     * @param  list<StandardChange>  $changes
     * @return list<array{string, string, list<string>}>
     */
    private static function told(array $changes): array
    {
        return array_map(
            fn (StandardChange $c) => [
                $c->kind->value,
                ChangeWords::what($c),
                array_map(fn ($t) => $t->name, $c->tiers),
            ],
            $changes,
        );
    }
}
