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
        return self::of([$one, $other], [1, 1]);
    }

    /**
     * @param  non-empty-list<Srgb>  $colours
     * @param  non-empty-list<int>  $parts  of each
     */
    public static function of(array $colours, array $parts): Srgb
    {
        $linear = array_map(fn (Srgb $c) => $c->linear(), $colours);

        return Srgb::fromLinear(
            self::channel(array_column($linear, 0), $parts),
            self::channel(array_column($linear, 1), $parts),
            self::channel(array_column($linear, 2), $parts),
        );
    }

    /**
     * @param  array<int, float>  $reflectances
     * @param  non-empty-list<int>  $parts
     */
    private static function channel(array $reflectances, array $parts): float
    {
        $q = 0.0;
        foreach ($reflectances as $i => $reflectance) {
            $q += (self::absorption($reflectance) * ($parts[$i] ?? 0)) / array_sum($parts);
        }

        return 1 + $q - sqrt($q * $q + 2 * $q);
    }

    private static function absorption(float $reflectance): float
    {
        $r = max(self::DARKEST, $reflectance);

        return (1 - $r) ** 2 / (2 * $r);
    }
}
