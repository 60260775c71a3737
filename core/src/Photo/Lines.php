<?php

declare(strict_types=1);

namespace Ordotype\Core\Photo;

use Ordotype\Core\Sculpt\Area;

/** Light lines along the edges of an area: looked at every quarter of a millimetre, from the line inwards. */
final readonly class Lines
{
    private const EVERY = 0.25;

    private const FROM = 0.1;

    private const TO = 1.5;

    /** Of the rise, that belongs to the line. */
    private const SHARE = 0.4;

    private const LEAST_RISE = 6.0;

    private const LEAST = 0.14;

    private const MOST = 0.9;

    private const LEAST_PROFILES = 30;

    /** Mm from one look to the next at the least: half a pixel, but no finer than this. */
    private const FINEST = 0.02;

    /** Mm from the margin within which a line begins. */
    private const BEGINS = 0.25;

    public function __construct(private Layout $layout, private Pixels $pixels)
    {
    }

    /** Mm, the median of the profiles that have a line. */
    public function width(Area $area): Figure
    {
        $widths = [];
        foreach ($this->layout->rings as $ring) {
            if ($ring->area->key !== $area->key) {
                continue;
            }
            $n = count($ring->xs);
            $left = 0.0;
            for ($i = 0; $i < $n; $i++) {
                $j = ($i + 1) % $n;
                [$dx, $dy] = [$ring->xs[$j] - $ring->xs[$i], $ring->ys[$j] - $ring->ys[$i]];
                $long = hypot($dx, $dy);
                for (; $long > 0.0 && $left < $long; $left += self::EVERY * $this->layout->scale) {
                    $t = $left / $long;
                    $width = $this->profile(
                        $ring->no,
                        $ring->xs[$i] + $t * $dx,
                        $ring->ys[$i] + $t * $dy,
                        [-$dy / $long, $dx / $long],
                    );
                    if ($width !== null && $width >= self::LEAST && $width <= self::MOST) {
                        $widths[] = $width;
                    }
                }
                $left = max(0.0, $left - $long);
            }
        }
        sort($widths);

        return count($widths) < self::LEAST_PROFILES
            ? Figure::none(Unmeasured::TooFewLines, count($widths))
            : Figure::of($widths[intdiv(count($widths), 2)], count($widths));
    }

    /**
     * @param  array{float, float}  $normal
     * @return float|null mm; 0 where there is no line; null where another ring lies
     */
    private function profile(int $ring, float $x, float $y, array $normal): ?float
    {
        $scale = $this->layout->scale;
        $step = max(0.5 / $scale, self::FINEST);
        $lights = null;
        foreach ([1, -1] as $side) {
            $found = [];
            for ($mm = self::FROM + 0.02; $mm <= self::TO; $mm += $step) {
                $px = (int) floor($x + $side * $mm * $scale * $normal[0]);
                $py = (int) floor($y + $side * $mm * $scale * $normal[1]);
                if (! $this->isOn($ring, $px, $py)) {
                    break;
                }
                $found[] = $this->lightness($px, $py);
            }
            if (count($found) * $step > 0.8 * (self::TO - self::FROM)) {
                $lights = $found;
            }
        }
        if ($lights === null) {
            return null;
        }
        $inner = array_slice($lights, intdiv(count($lights), 2));
        sort($inner);
        $ground = $inner[intdiv(count($inner), 2)];
        $top = max([0.0, ...array_slice($lights, 0, intdiv(2 * count($lights), 3))]);
        if ($top - $ground < self::LEAST_RISE) {
            return 0.0;
        }
        $end = 0;
        foreach ($lights as $k => $l) {
            if ($l >= $ground + self::SHARE * ($top - $ground)) {
                $end = $k + 1;
            } elseif ($end > 0 || $k * $step > self::BEGINS) {
                break;
            }
        }

        // The first tenth of a millimetre is the margin: the line begins there.
        return $end === 0 ? 0.0 : $end * $step + self::FROM;
    }

    private function isOn(int $ring, int $x, int $y): bool
    {
        foreach ($this->layout->runs[$ring][$y] ?? [] as [$from, $to]) {
            if ($x >= $from && $x <= $to) {
                return true;
            }
        }

        return false;
    }

    private function lightness(int $x, int $y): float
    {
        $c = $this->pixels->run($y, $x, $x)[0] ?? 0;
        $light =
            0.2126 * Light::linear(($c >> 16) & 255) +
            0.7152 * Light::linear(($c >> 8) & 255) +
            0.0722 * Light::linear($c & 255);

        return Light::lightness($light);
    }
}
