<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use InvalidArgumentException;

/**
 * The light of a photograph, from a card of known greys in it: what each channel is multiplied with so that the card is
 * what it is (the white is moved by Bradford, Lam 1985, exposure in linear light).
 */
final readonly class GreyCard
{
    /** Linear light of L* 50, the middle field (CIE 15). */
    private const MIDDLE = 0.18418651851244416;

    /** Linear sRGB to XYZ (IEC 61966-2-1), and XYZ to Bradford's cones. */
    private const XYZ = [[0.4124, 0.3576, 0.1805], [0.2126, 0.7152, 0.0722], [0.0193, 0.1192, 0.9505]];

    private const CONES = [[0.8951, 0.2664, -0.1614], [-0.7502, 1.7135, 0.0367], [0.0389, -0.0685, 1.0296]];

    /** @param  list<list<float>>  $matrix  from what the camera saw to what is, both linear sRGB */
    private function __construct(public array $matrix)
    {
    }

    /** Nothing is known of the light: taken as it is. */
    public static function none(): self
    {
        return new self([[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]]);
    }

    /** @return array{float, float, float} what each channel of the camera, in linear light, adds to the luminance */
    public function luminance(): array
    {
        $weights = [0.0, 0.0, 0.0];
        foreach ([0.21263900587151, 0.71516867876776, 0.07219231536073] as $row => $weight) {
            foreach ($this->matrix[$row] as $channel => $times) {
                $weights[$channel] += $weight * $times;
            }
        }

        return [$weights[0], $weights[1], $weights[2]];
    }

    /**
     * @param  array{int, int, int, int}  $field  left, top, right and bottom pixel of the middle field, well within it
     *
     * @throws InvalidArgumentException when it lies outside, is black or clipped
     */
    public static function in(Pixels $pixels, array $field): self
    {
        [$left, $top, $right, $bottom] = $field;
        if ($left < 0 || $top < 0 || $right >= $pixels->width() || $bottom >= $pixels->height() || $right <= $left) {
            throw new InvalidArgumentException('The grey card lies outside of the photograph.');
        }
        $sum = [0.0, 0.0, 0.0];
        $n = 0;
        for ($y = $top; $y <= $bottom; $y++) {
            foreach ($pixels->run($y, $left, $right) as $c) {
                $sum[0] += Light::linear(($c >> 16) & 255);
                $sum[1] += Light::linear(($c >> 8) & 255);
                $sum[2] += Light::linear($c & 255);
                $n++;
            }
        }
        $mean = array_map(fn (float $s) => $s / max(1, $n), $sum);
        if (min($mean) < 0.01 || max($mean) > 0.85) {
            throw new InvalidArgumentException('The grey card is too dark or too bright in this photograph.');
        }

        return self::from($mean);
    }

    /** @param  list<float>  $mean  what the middle field sends, linear sRGB */
    private static function from(array $mean): self
    {
        $cones = self::times(self::CONES, self::XYZ);
        $seen = self::applied($cones, $mean);
        $meant = self::applied($cones, [self::MIDDLE, self::MIDDLE, self::MIDDLE]);
        $gain = [
            [$meant[0] / $seen[0], 0.0, 0.0],
            [0.0, $meant[1] / $seen[1], 0.0],
            [0.0, 0.0, $meant[2] / $seen[2]],
        ];

        return new self(self::times(self::inverse($cones), self::times($gain, $cones)));
    }

    /**
     * @param  list<list<float>>  $a
     * @param  list<list<float>>  $b
     * @return list<list<float>>
     */
    private static function times(array $a, array $b): array
    {
        return array_map(
            fn (array $row): array => array_map(
                fn (int $k): float => $row[0] * $b[0][$k] + $row[1] * $b[1][$k] + $row[2] * $b[2][$k],
                [0, 1, 2],
            ),
            $a,
        );
    }

    /**
     * @param  list<list<float>>  $m
     * @param  list<float>  $v
     * @return list<float>
     */
    public static function applied(array $m, array $v): array
    {
        return array_map(fn (array $row): float => $row[0] * $v[0] + $row[1] * $v[1] + $row[2] * $v[2], $m);
    }

    /**
     * @param  list<list<float>>  $m
     * @return list<list<float>>
     */
    private static function inverse(array $m): array
    {
        [[$a, $b, $c], [$d, $e, $f], [$g, $h, $i]] = $m;
        $det = $a * ($e * $i - $f * $h) - $b * ($d * $i - $f * $g) + $c * ($d * $h - $e * $g);

        return [
            [($e * $i - $f * $h) / $det, ($c * $h - $b * $i) / $det, ($b * $f - $c * $e) / $det],
            [($f * $g - $d * $i) / $det, ($a * $i - $c * $g) / $det, ($c * $d - $a * $f) / $det],
            [($d * $h - $e * $g) / $det, ($b * $g - $a * $h) / $det, ($a * $e - $b * $d) / $det],
        ];
    }
}
