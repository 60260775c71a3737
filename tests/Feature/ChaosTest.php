<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** A copy of the studio whose processes are killed while people write to it; 200 kills by ./ordotype chaos, which also times them. */
final class ChaosTest extends TestCase
{
    public function test_twenty_kills_lose_nothing_double_nothing_and_everything_comes_back_by_itself(): void
    {
        $chaos = new Process(['./ordotype', 'chaos', '20', '7', '60'], dirname(__DIR__, 2), ['ORDOTYPE_PORT' => '8700']);
        $chaos->setTimeout(400)->run();
        self::assertSame(0, $chaos->getExitCode(), $chaos->getOutput().$chaos->getErrorOutput());
        self::assertMatchesRegularExpression('/20 kills, [1-9]\d{2,} writes acknowledged/', $chaos->getOutput());
        self::assertStringContainsString('Nothing was lost', $chaos->getOutput());
    }
}
