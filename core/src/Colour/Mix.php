<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/**
 * Forecast of a mix of paints, never a promise: Kubelka–Munk with a single constant on each linear channel,
 * K/S = (1 − R)² / 2R weighted by parts, R = 1 + q − √(q² + 2q).
 */
final class Mix
{
    /** Black would have an endless K/S; this is darker than any dry paint film. */
    private const DARKEST = 0.0005;

    public static function oneToOne(Srgb $one, Srgb $other): Srgb
    {
        [$a, $b] = [$one->linear(), $other->linear()];

        return Srgb::fromLinear(
            self::channel($a[0], $b[0]),
            self::channel($a[1], $b[1]),
            self::channel($a[2], $b[2]),
        );
    }

    private static function channel(float $one, float $other): float
    {
        $q = (self::absorption($one) + self::absorption($other)) / 2;

        return 1 + $q - sqrt($q * $q + 2 * $q);
    }

    private static function absorption(float $reflectance): float
    {
        $r = max(self::DARKEST, $reflectance);

        return (1 - $r) ** 2 / (2 * $r);
    }
}
