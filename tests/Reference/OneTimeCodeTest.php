<?php

declare(strict_types=1);

namespace Tests\Reference;

use Ordotype\Core\Foundation\OneTimeCode;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The vectors that the standards print. */
final class OneTimeCodeTest extends TestCase
{
    private const SECRET = '12345678901234567890';

    /** @return iterable<array{int, string}> RFC 6238, appendix B, the rows of SHA-1: seconds, code of eight digits */
    public static function timed(): iterable
    {
        yield [59, '94287082'];
        yield [1111111109, '07081804'];
        yield [1111111111, '14050471'];
        yield [1234567890, '89005924'];
        yield [2000000000, '69279037'];
        yield [20000000000, '65353130'];
    }

    #[DataProvider('timed')]
    public function test_codes_by_time(int $second, string $code): void
    {
        self::assertSame($code, OneTimeCode::at(self::SECRET, intdiv($second, OneTimeCode::STEP), 8));
    }

    /** RFC 4226, appendix D: codes of six digits by counter, 0 to 9. */
    public function test_codes_by_counter(): void
    {
        self::assertSame(
            ['755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489'],
            array_map(fn (int $n) => OneTimeCode::at(self::SECRET, $n), range(0, 9)),
        );
    }

    /** RFC 4648, 10. */
    public function test_base_32(): void
    {
        foreach (['' => '', 'f' => 'MY', 'fo' => 'MZXQ', 'foo' => 'MZXW6', 'foob' => 'MZXW6YQ', 'fooba' => 'MZXW6YTB', 'foobar' => 'MZXW6YTBOI'] as $text => $spelled) {
            self::assertSame($spelled, OneTimeCode::spelled($text));
            self::assertSame($text, OneTimeCode::read($spelled));
        }
    }

    public function test_a_code_holds_once_and_for_clocks_that_differ_by_half_a_minute(): void
    {
        $of = fn (int $step) => OneTimeCode::at(self::SECRET, $step);
        $at = fn (string $code, int $after = 0) => OneTimeCode::stepOf(self::SECRET, $code, 100 * OneTimeCode::STEP + 4, $after);
        self::assertSame([99, 100, 101], [$at($of(99)), $at($of(100)), $at($of(101))]);
        self::assertSame([null, null], [$at($of(98)), $at($of(102))]);
        self::assertNull($at($of(100), after: 100), 'used');
        self::assertSame(101, $at($of(101), after: 100));
    }
}
