<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** Looks for a grey card: three squares one above the other, light, middle and dark, each even in itself. */
final class CardFinder
{
    /** Linear light of L* 90 over that of L* 50, and of that over L* 20 (CIE 15). */
    private const LIGHT = 4.142;

    private const DARK = 6.16;

    /** How far, as a factor, they may be off: a card lies in uneven light. */
    private const OFF = 1.45;

    /** Standard deviation over the mean, that a field may have. */
    private const EVEN = 0.09;

    private const EVEN_DARK = 0.3;

    /** Share of a field's side that is left out all round. */
    private const INSET = 0.2;

    /** Of two that are as even the larger one is the card, not a part of it. */
    private const LARGER = 0.012;

    /** Sides that are tried, pixels of the reduced picture. */
    private const LEAST = 6;

    /** @var array<int, float> sums of luminance, and of its squares, above and to the left of each pixel */
    private array $sums = [];

    /** @var array<int, float> */
    private array $squares = [];

    private int $wide;

    public function __construct(private readonly Reduced $picture)
    {
        $this->wide = $picture->width + 1;
        $this->sums = $this->squares = array_fill(0, $this->wide * ($picture->height + 1), 0.0);
        for ($row = 0; $row < $picture->height; $row++) {
            $sum = $square = 0.0;
            for ($x = 0; $x < $picture->width; $x++) {
                $y = $picture->y[$row * $picture->width + $x];
                $sum += $y;
                $square += $y * $y;
                $at = ($row + 1) * $this->wide + $x + 1;
                $this->sums[$at] = $this->sums[$at - $this->wide] + $sum;
                $this->squares[$at] = $this->squares[$at - $this->wide] + $square;
            }
        }
    }

    /** @return array{int, int, int}|null left, top and side of the middle field, pixels of the photograph */
    public function find(): ?array
    {
        $best = null;
        $least = INF;
        $most = intdiv($this->picture->width, 7);
        for ($side = self::LEAST; $side <= $most; $side += max(1, intdiv($side, 8))) {
            $step = max(2, intdiv($side, 5));
            for ($top = 0; $top + 3 * $side <= $this->picture->height; $top += $step) {
                for ($left = 0; $left + $side <= $this->picture->width; $left += $step) {
                    $off = $this->off($left, $top, $side);
                    if ($off !== null && $off - self::LARGER * $side < $least) {
                        $least = $off - self::LARGER * $side;
                        $best = [$left, $top + $side, $side];
                    }
                }
            }
        }

        return $best === null ? null : array_map(fn (int $n) => $n * $this->picture->step, $best);
    }

    /** How little it is a card; null where it is none at all. */
    private function off(int $left, int $top, int $side): ?float
    {
        [$middle, $unevenMiddle] = $this->field($left, $top + $side, $side);
        if ($middle < 0.02 || $unevenMiddle > self::EVEN) {
            return null;
        }
        [$above, $unevenAbove] = $this->field($left, $top, $side);
        [$below, $unevenBelow] = $this->field($left, $top + 2 * $side, $side);
        $isUp = $above > $below;
        [$light, $dark] = $isUp ? [$above, $below] : [$below, $above];
        [$unevenLight, $unevenDark] = $isUp ? [$unevenAbove, $unevenBelow] : [$unevenBelow, $unevenAbove];
        $offLight = abs(log(max(1e-6, $light / $middle) / self::LIGHT));
        $offDark = abs(log(max(1e-6, $middle / max(1e-6, $dark)) / self::DARK));
        $isNone =
            $unevenLight > self::EVEN ||
            $unevenDark > self::EVEN_DARK ||
            $offLight > log(self::OFF) ||
            $offDark > log(self::OFF);

        return $isNone ? null : $offLight + $offDark + 3 * ($unevenLight + $unevenMiddle);
    }

    /** @return array{float, float} mean of the inside of a field, and its standard deviation over that */
    private function field(int $left, int $top, int $side): array
    {
        $in = (int) ceil(self::INSET * $side);
        [$x0, $x1] = [$left + $in, $left + $side - $in];
        [$y0, $y1] = [($top + $in) * $this->wide, ($top + $side - $in) * $this->wide];
        $n = max(1, ($x1 - $x0) * intdiv($y1 - $y0, $this->wide));
        $sums = $this->sums;
        $mean = ($sums[$y1 + $x1] - $sums[$y1 + $x0] - $sums[$y0 + $x1] + $sums[$y0 + $x0]) / $n;
        $square =
            ($this->squares[$y1 + $x1] -
                $this->squares[$y1 + $x0] -
                $this->squares[$y0 + $x1] +
                $this->squares[$y0 + $x0]) /
            $n;

        return [$mean, $mean <= 0.0 ? INF : sqrt(max(0.0, $square - $mean * $mean)) / $mean];
    }
}
