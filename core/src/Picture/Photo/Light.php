<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Colour\Lab;

/** Linear light and lightness for whole pictures, from tables (IEC 61966-2-1, CIE 15). */
final class Light
{
    /** Bins of half an L*, up to 111.5. */
    public const BINS = 224;

    private const STEPS = 4096;

    /** Linear light of an 8-bit channel. */
    public static function linear(int $byte): float
    {
        $c = $byte / 255;

        return $c <= 0.04045 ? $c / 12.92 : (($c + 0.055) / 1.055) ** 2.4;
    }

    /** L* of a luminance, white 1. */
    public static function lightness(float $y): float
    {
        return $y > 216 / 24389 ? 116 * $y ** (1 / 3) - 16 : (24389 / 27) * $y;
    }

    /** Luminance of a pixel as it is, 0xRRGGBB; white 1. */
    public static function luminanceOf(int $pixel): float
    {
        return 0.2126 * self::linear(($pixel >> 16) & 255) +
            0.7152 * self::linear(($pixel >> 8) & 255) +
            0.0722 * self::linear($pixel & 255);
    }

    /** @return array<int, int> by luminance in steps of 1/4095 up to 1.4: the bin of its L* */
    public static function bins(): array
    {
        $bins = [];
        for ($i = 0; $i < self::STEPS * 1.4; $i++) {
            $bins[] = min(self::BINS - 1, (int) round(2 * self::lightness($i / (self::STEPS - 1))));
        }

        return $bins;
    }

    public static function lab(float $r, float $g, float $b): Lab
    {
        $x = 0.43388734556604 * $r + 0.3762240091375 * $g + 0.18988864529646 * $b;
        $y = 0.21263900587151 * $r + 0.71516867876776 * $g + 0.07219231536073 * $b;
        $z = 0.01775004007097 * $r + 0.10944762085524 * $g + 0.87280233907379 * $b;
        $f = fn (float $t): float => $t > 216 / 24389 ? max(0.0, $t) ** (1 / 3) : ((24389 / 27) * $t + 16) / 116;

        return new Lab(116 * $f($y) - 16, 500 * ($f($x) - $f($y)), 200 * ($f($y) - $f($z)));
    }
}
