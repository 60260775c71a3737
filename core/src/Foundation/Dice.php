<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/** Whole numbers from a seed, the same everywhere: xorshift with 32 bits (Marsaglia 2003, triple 13, 17, 5). */
final class Dice
{
    private int $state;

    public function __construct(int $seed)
    {
        $this->state = self::hash($seed, 0x9E37);
    }

    /** Within 0 and 2³² − 1. */
    public function roll(): int
    {
        $s = $this->state;
        $s ^= ($s << 13) & 0xFFFFFFFF;
        $s ^= $s >> 17;
        $s ^= ($s << 5) & 0xFFFFFFFF;

        return $this->state = $s & 0xFFFFFFFF;
    }

    /** From 0 to just under 1. */
    public function share(): float
    {
        return $this->roll() / 4294967296.0;
    }

    public function between(float $from, float $to): float
    {
        return $from + ($to - $from) * $this->share();
    }

    /** A number for two, never 0, with all 32 bits stirred. */
    public static function hash(int $one, int $other): int
    {
        $h = ($one * 0x45D9F3B + $other * 0x119DE1F3 + 0x27D4EB2D) & 0xFFFFFFFF;
        $h = (($h ^ ($h >> 15)) * 0x2C1B3C6D) & 0xFFFFFFFF;
        $h = (($h ^ ($h >> 12)) * 0x297A2D39) & 0xFFFFFFFF;
        $h ^= $h >> 15;

        return $h === 0 ? 1 : $h;
    }

    /** A number of its own for a word. */
    public static function ofWord(string $word): int
    {
        return crc32($word);
    }
}
