<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Colour\PaintFault;
use Ordotype\Core\Format\PaintTable;
use Ordotype\Core\Words\SchemeWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Paints from tables as people have them. */
final class PaintTableTest extends TestCase
{
    private const KINDS = ['opaque', 'wash', 'metal'];

    /** @return iterable<string, array{string}> */
    public static function tables(): iterable
    {
        $rows = [['Mid grey', '#7c8084', '17,5'], ['Deep red', '5C1A1C', '12']];
        foreach (['commas' => ',', 'semicolons' => ';', 'tabs' => "\t"] as $name => $by) {
            $amount = fn (string $ml): string => $by === ',' ? "\"$ml\"" : $ml;
            $lines = array_map(fn (array $r) => implode($by, [$r[0], $r[1], $amount($r[2])]), $rows);
            foreach (["\n", "\r\n"] as $end) {
                $text = implode($end, [implode($by, ['Paint name', 'Hex', 'Volume']), ...$lines, '']);
                yield "$name, ".strlen($end) => [$text];
                yield "$name, ".strlen($end).' with a mark of its byte order' => ["\xEF\xBB\xBF$text"];
            }
        }
    }

    #[DataProvider('tables')]
    public function test_a_table_is_read_whatever_parts_it(string $text): void
    {
        $table = PaintTable::read($text, self::KINDS);
        self::assertSame([], $table->faults);
        self::assertSame(
            [['Mid grey', '#7c8084', 17.5], ['Deep red', '#5c1a1c', 12.0]],
            array_values(array_map(fn (Paint $p) => [$p->name, $p->colour->hex(), $p->ml], $table->paints)),
        );
        self::assertSame(['Paint name', 'Hex', null, null, 'Volume'], array_values($table->columns));
    }

    public function test_columns_can_be_said_and_what_is_missing_is_plain(): void
    {
        $text = "Was;Ton;Sorte;Deckung\nNebel;120, 130, 140;WASH;high\nKohle;#abc;gouache;";
        $guessed = PaintTable::read($text, self::KINDS);
        self::assertSame([2 => PaintFault::NoName, 3 => PaintFault::NoName], $guessed->faults);
        $said = ['name' => 'Was', 'hex' => 'Ton', 'kind' => 'Sorte', 'hiding' => 'Deckung', 'ml' => 'nowhere'];
        $table = PaintTable::read($text, self::KINDS, $said);
        self::assertSame([], $table->faults);
        [$fog, $coal] = array_values($table->paints);
        self::assertSame(['wash', '#78828c', 'high', 17.0], [$fog->kind, $fog->colour->hex(), $fog->hiding->value, $fog->ml]);
        self::assertSame(['opaque', '#aabbcc', 'medium'], [$coal->kind, $coal->colour->hex(), $coal->hiding->value]);
    }

    public function test_each_line_that_is_no_paint_says_why_and_the_rest_is_read(): void
    {
        $text = implode("\n", [
            'name,hex,hiding,ml',
            ',#112233,high,17',
            '#ff0000,#112233,high,17',
            'Rust,#112233,high,17',
            'rust,#112233,high,17',
            'Fog,112,high,17',
            'Mist,300 20 20,high,17',
            'Dew,nothing,high,17',
            'Sea,#112233,high,much',
            'Ash,#112233,thick,17',
            'Clay,#112233,low,17 ml',
        ]);
        $table = PaintTable::read($text, self::KINDS);
        self::assertSame([4, 6, 11], array_keys($table->paints));
        self::assertSame([
            2 => PaintFault::NoName,
            3 => PaintFault::NoName,
            5 => PaintFault::Twice,
            7 => PaintFault::NoColour,
            8 => PaintFault::NoColour,
            9 => PaintFault::NoAmount,
            10 => PaintFault::NoHiding,
        ], $table->faults);
        $words = array_map(SchemeWords::paint(...), PaintFault::cases());
        self::assertSame($words, array_unique($words));
    }
}
