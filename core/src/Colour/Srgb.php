<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

use InvalidArgumentException;

/**
 * A colour in 8-bit sRGB.
 *
 * Linear light and the matrix follow IEC 61966-2-1 with the matrix derived from its primaries; CIELAB follows CIE 15
 * with the white of chromaticity x = 0.3127, y = 0.3290.
 */
final readonly class Srgb
{
    public function __construct(public int $red, public int $green, public int $blue)
    {
        foreach ([$red, $green, $blue] as $channel) {
            if ($channel < 0 || $channel > 255) {
                throw new InvalidArgumentException("A channel of sRGB lies within 0 to 255, not $channel.");
            }
        }
    }

    public static function isHex(string $text): bool
    {
        return preg_match('/^#[0-9a-fA-F]{6}$/D', $text) === 1;
    }

    public static function fromHex(string $hex): self
    {
        if (! self::isHex($hex)) {
            throw new InvalidArgumentException("\"$hex\" is not a colour of the form #rrggbb.");
        }

        return new self(
            (int) hexdec(substr($hex, 1, 2)),
            (int) hexdec(substr($hex, 3, 2)),
            (int) hexdec(substr($hex, 5, 2)),
        );
    }

    public function hex(): string
    {
        return sprintf('#%02x%02x%02x', $this->red, $this->green, $this->blue);
    }

    public static function fromLinear(float $red, float $green, float $blue): self
    {
        return new self(self::encode($red), self::encode($green), self::encode($blue));
    }

    /** @return array{float, float, float} linear light, each 0 to 1 */
    public function linear(): array
    {
        return [self::decode($this->red), self::decode($this->green), self::decode($this->blue)];
    }

    public function lab(): Lab
    {
        [$r, $g, $b] = $this->linear();
        // Rows of the sRGB to XYZ matrix, each divided by its sum (which is the white), so that white is 1, 1, 1.
        $x = 0.43388734556604 * $r + 0.3762240091375 * $g + 0.18988864529646 * $b;
        $y = 0.21263900587151 * $r + 0.71516867876776 * $g + 0.07219231536073 * $b;
        $z = 0.01775004007097 * $r + 0.10944762085524 * $g + 0.87280233907379 * $b;
        [$fx, $fy, $fz] = [self::labCurve($x), self::labCurve($y), self::labCurve($z)];

        return new Lab(116 * $fy - 16, 500 * ($fx - $fy), 200 * ($fy - $fz));
    }

    private static function labCurve(float $t): float
    {
        return $t > 216 / 24389 ? $t ** (1 / 3) : ((24389 / 27) * $t + 16) / 116;
    }

    private static function decode(int $channel): float
    {
        $c = $channel / 255;

        return $c <= 0.04045 ? $c / 12.92 : (($c + 0.055) / 1.055) ** 2.4;
    }

    private static function encode(float $linear): int
    {
        $linear = max(0.0, min(1.0, $linear));
        $c = $linear <= 0.0031308 ? 12.92 * $linear : 1.055 * $linear ** (1 / 2.4) - 0.055;

        return (int) round($c * 255);
    }
}
