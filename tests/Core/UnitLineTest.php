<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Studio\LineFault;
use Ordotype\Core\Studio\UnitLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lines as somebody pastes them out of a letter or a spreadsheet. */
final class UnitLineTest extends TestCase
{
    private const FIGURES = [
        'sluice-warden' => 'Sluice Warden',
        'mudlark' => 'Mudlark',
        'bell-diver' => 'Bell Diver',
        'bell-ringer' => 'Bell Ringer',
    ];

    private const TIERS = ['muster' => 'Muster', 'company' => 'Company', 'centrepiece' => 'Centrepiece'];

    /** @return iterable<string, array{string, int, string, string, string|null, string|null}> */
    public static function good(): iterable
    {
        yield 'as it is called' => ['12 Sluice Warden, Company', 12, 'sluice-warden', 'company', null, null];
        yield 'in the plural' => ['12 Sluice Wardens, Company', 12, 'sluice-warden', 'company', null, null];
        yield 'by its beginning, small' => ['3 mud, must', 3, 'mudlark', 'muster', null, null];
        yield 'with a sign for times' => ['5 x Mudlark, Muster', 5, 'mudlark', 'muster', null, null];
        yield 'the other sign' => ['5× Mudlark, Muster', 5, 'mudlark', 'muster', null, null];
        yield 'with a name' => ['1 Bell Diver, Company, The captain', 1, 'bell-diver', 'company', 'The captain', null];
        yield 'with a name that has a comma' => [
            '1 Bell Diver, Company, The captain, with lamp', 1, 'bell-diver', 'company', 'The captain, with lamp', null,
        ];
        yield 'with a price' => ['2 Mudlark, Muster, 9', 2, 'mudlark', 'muster', null, '9.00'];
        yield 'with a price in tenths' => ['2 Mudlark, Muster, 9.5', 2, 'mudlark', 'muster', null, '9.50'];
        yield 'with name and price' => ['2 Mudlark, Muster, The flats, 9.25', 2, 'mudlark', 'muster', 'The flats', '9.25'];
        yield 'with a name that ends in a number' => [
            '2 Mudlark, Muster, Squad 7', 2, 'mudlark', 'muster', 'Squad 7', null,
        ];
        yield 'as many as there may be' => ['500 Mudlark, Muster', 500, 'mudlark', 'muster', null, null];
    }

    #[DataProvider('good')]
    public function test_a_line_is_a_number_a_figure_a_tier_and_what_else_it_says(
        string $line,
        int $count,
        string $figure,
        string $tier,
        ?string $label,
        ?string $price,
    ): void {
        $read = UnitLine::read($line, self::FIGURES, self::TIERS);
        self::assertCount(1, $read);
        self::assertNull($read[0]->fault);
        self::assertSame(
            [$count, $figure, $tier, $label, $price],
            [$read[0]->count, $read[0]->figure, $read[0]->tier, $read[0]->label, $read[0]->price],
        );
    }

    /** @return iterable<string, array{string, LineFault}> */
    public static function bad(): iterable
    {
        yield 'no number' => ['Mudlark, Muster', LineFault::NoNumber];
        yield 'a number in words' => ['a dozen Mudlarks, Muster', LineFault::NoNumber];
        yield 'nothing but a number' => ['12', LineFault::NoNumber];
        yield 'none of them' => ['0 Mudlark, Muster', LineFault::Count];
        yield 'more than any studio paints' => ['501 Mudlark, Muster', LineFault::Count];
        yield 'a figure nobody has' => ['2 Heron, Muster', LineFault::Figure];
        yield 'one of two figures' => ['2 Bell, Muster', LineFault::Figure];
        yield 'no tier' => ['2 Mudlark', LineFault::NoTier];
        yield 'a price where the tier belongs' => ['2 Mudlark, 9.50', LineFault::NoTier];
        yield 'a tier nobody has' => ['2 Mudlark, Gala', LineFault::Tier];
        yield 'one of two tiers' => ['2 Mudlark, c', LineFault::Tier];
        yield 'an empty tier' => ['2 Mudlark, , The flats', LineFault::Tier];
    }

    #[DataProvider('bad')]
    public function test_what_it_does_not_say_clearly_makes_no_unit(string $line, LineFault $fault): void
    {
        $read = UnitLine::read($line, self::FIGURES, self::TIERS);
        self::assertSame($fault, $read[0]->fault);
        self::assertSame($line, $read[0]->text, 'what was written is told back');
    }

    public function test_empty_lines_are_passed_over_and_every_line_keeps_its_number(): void
    {
        $text = "1 Mudlark, Muster\r\n\r\n   \nnothing\n\t2 Mudlark, Company ";
        $read = UnitLine::read($text, self::FIGURES, self::TIERS);
        self::assertSame([1, 4, 5], array_map(fn (UnitLine $l) => $l->number, $read));
        self::assertSame([null, LineFault::NoNumber, null], array_map(fn (UnitLine $l) => $l->fault, $read));
        self::assertSame([], UnitLine::read(" \n\n", self::FIGURES, self::TIERS));
    }
}
