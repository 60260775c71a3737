<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/**
 * The colour profile of a camera or a screen, as far as it is a matrix and three curves (ICC.1:2010, 8.3.3): what
 * phones and cameras write. Profiles by tables are not read.
 */
final readonly class ColourProfile
{
    /** XYZ under D50, the profile's connection space, to linear sRGB: the inverse of its D50 colorants. */
    private const TO_SRGB = [
        [3.1338561, -1.6168667, -0.4906146],
        [-0.9787684, 1.9161415, 0.0334540],
        [0.0719453, -0.2289914, 1.4052427],
    ];

    /** A profile that moves no colour by more levels than this is sRGB. */
    private const SAME = 2;

    /** Steps of linear light by which an 8-bit channel is looked up. */
    private const STEPS = 4096;

    /** @var array<int, int> by linear light: the channel of sRGB */
    private array $channel;

    /**
     * @param  array{array<int, float>, array<int, float>, array<int, float>}  $curves  linear light of each byte
     * @param  list<list<float>>  $matrix  to linear sRGB
     */
    private function __construct(private array $curves, private array $matrix)
    {
        $channel = [];
        for ($i = 0; $i <= self::STEPS; $i++) {
            // IEC 61966-2-1.
            $l = $i / self::STEPS;
            $channel[] = (int) round(255 * ($l <= 0.0031308 ? 12.92 * $l : 1.055 * $l ** (1 / 2.4) - 0.055));
        }
        $this->channel = $channel;
    }

    /** @return self|null null where it is damaged, of another kind, or not of RGB */
    public static function ofIcc(string $icc): ?self
    {
        if (strlen($icc) < 132 || substr($icc, 16, 4) !== 'RGB ' || substr($icc, 20, 4) !== 'XYZ ') {
            return null;
        }
        $columns = $curves = [];
        foreach (['r', 'g', 'b'] as $channel) {
            $colorant = self::tag($icc, $channel.'XYZ');
            $curve = self::tag($icc, $channel.'TRC');
            $columns[] = $colorant === null || strlen($colorant) < 20 ? null : self::fixed($colorant, 8, 3);
            $curves[] = $curve === null ? null : self::curve($curve);
        }
        [$r, $g, $b] = $columns;
        [$cr, $cg, $cb] = $curves;
        if ($r === null || $g === null || $b === null || $cr === null || $cg === null || $cb === null) {
            return null;
        }
        $matrix = array_map(
            fn (array $row): array => array_map(
                fn (array $column): float => $row[0] * $column[0] + $row[1] * $column[1] + $row[2] * $column[2],
                [$r, $g, $b],
            ),
            self::TO_SRGB,
        );

        return new self([$cr, $cg, $cb], $matrix);
    }

    private static function tag(string $icc, string $signature): ?string
    {
        $count = min(200, self::number($icc, 128));
        for ($k = 0; $k < $count; $k++) {
            $at = 132 + 12 * $k;
            if (substr($icc, $at, 4) === $signature) {
                return substr($icc, self::number($icc, $at + 4), self::number($icc, $at + 8));
            }
        }

        return null;
    }

    /** Unsigned, four bytes, the greatest first; 0 past the end. */
    private static function number(string $bytes, int $at): int
    {
        $four = substr($bytes, $at, 4);

        return strlen($four) < 4
            ? 0
            : (ord($four[0]) << 24) | (ord($four[1]) << 16) | (ord($four[2]) << 8) | ord($four[3]);
    }

    /** @return list<float> of s15Fixed16 */
    private static function fixed(string $bytes, int $at, int $count): array
    {
        $numbers = [];
        for ($k = 0; $k < $count; $k++) {
            $n = self::number($bytes, $at + 4 * $k);
            $numbers[] = ($n >= 0x80000000 ? $n - 0x100000000 : $n) / 65536;
        }

        return $numbers;
    }

    /** @return array<int, float>|null linear light of each byte */
    private static function curve(string $tag): ?array
    {
        $bytes = range(0, 255);
        if (substr($tag, 0, 4) === 'para') {
            return self::parametric($tag, $bytes);
        }
        if (substr($tag, 0, 4) !== 'curv') {
            return null;
        }
        $count = self::number($tag, 8);
        $at = fn (int $k): float => (ord($tag[12 + 2 * $k] ?? "\0") << 8) + ord($tag[13 + 2 * $k] ?? "\0");

        return match (true) {
            $count === 0 => array_map(fn (int $n) => $n / 255, $bytes),
            $count === 1 => array_map(fn (int $n) => ($n / 255) ** ($at(0) / 256), $bytes),
            strlen($tag) < 12 + 2 * $count => null,
            default => array_map(function (int $n) use ($count, $at): float {
                $place = ($n / 255) * ($count - 1);
                $low = (int) $place;
                $high = min($count - 1, $low + 1);

                return ($at($low) + ($place - $low) * ($at($high) - $at($low))) / 65535;
            }, $bytes),
        };
    }

    /**
     * @param  list<int>  $bytes
     * @return array<int, float>|null
     */
    private static function parametric(string $tag, array $bytes): ?array
    {
        $kind = self::number($tag, 8) >> 16;
        $needed = [1, 3, 4, 5, 7][$kind] ?? null;
        if ($needed === null || strlen($tag) < 12 + 4 * $needed) {
            return null;
        }
        [$g, $a, $b, $c, $d, $e, $f] = [...self::fixed($tag, 12, $needed), ...array_fill(0, 6, 0.0)];
        if ($kind > 0 && $a === 0.0) {
            return null;
        }
        $power = fn (float $x): float => max(0.0, $x) ** $g;

        return array_map(
            fn (int $n): float => match (true) {
                $kind === 0 => $power($n / 255),
                $kind === 1 => $n / 255 >= -$b / $a ? $power($a * $n / 255 + $b) : 0.0,
                $kind === 2 => ($n / 255 >= -$b / $a ? $power($a * $n / 255 + $b) : 0.0) + $c,
                $kind === 3 => $n / 255 >= $d ? $power($a * $n / 255 + $b) : $c * $n / 255,
                default => $n / 255 >= $d ? $power($a * $n / 255 + $b) + $e : $c * $n / 255 + $f,
            },
            $bytes,
        );
    }

    /** Whether pictures are as they should be already. */
    public function isSrgb(): bool
    {
        foreach ([0x000000, 0xFFFFFF, 0xC02020, 0x20C020, 0x2020C0, 0x808080, 0xE0C040, 0x305A70] as $c) {
            $is = $this->toSrgb($c);
            foreach ([16, 8, 0] as $shift) {
                if (abs((($is >> $shift) & 255) - (($c >> $shift) & 255)) > self::SAME) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param  int  $pixel  0xRRGGBB in the profile's colours; what sRGB cannot show is drawn in to its edge */
    public function toSrgb(int $pixel): int
    {
        $r = $this->curves[0][($pixel >> 16) & 255];
        $g = $this->curves[1][($pixel >> 8) & 255];
        $b = $this->curves[2][$pixel & 255];
        $out = 0;
        foreach ($this->matrix as $row) {
            $light = $row[0] * $r + $row[1] * $g + $row[2] * $b;
            $at = (int) (($light < 0.0 ? 0.0 : ($light > 1.0 ? 1.0 : $light)) * self::STEPS + 0.5);
            $out = ($out << 8) | $this->channel[$at];
        }

        return $out;
    }
}
