<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

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

    /** Mm between the quartiles: what differs more was not drawn with one brush, but is light on the form. */
    private const SPREAD = 0.25;

    /** Mm from one look to the next at the least: half a pixel, but no finer than this. */
    private const FINEST = 0.02;

    /** Mm from the margin within which a line begins. */
    private const BEGINS = 0.25;

    /** Mm to either side of its end over which a line falls, and how much of the rise at the least. */
    private const ENDS = 0.15;

    private const FALL = 0.5;

    /** @param  Shading|null  $shading  the light on the model, where it is known: it makes no line */
    public function __construct(
        private Layout $layout,
        private Pixels $pixels,
        private ?Shading $shading = null,
        private ?Placement $placement = null,
    ) {
    }

    /** Mm, the median of the profiles that have a line. */
    public function width(Area $area): Figure
    {
        $widths = [];
        foreach (Walk::round($this->layout, $area, self::EVERY) as [$ring, $at, $normal]) {
            $width = $this->profile($ring, $at[0], $at[1], $normal);
            if ($width !== null && $width >= self::LEAST && $width <= self::MOST) {
                $widths[] = $width;
            }
        }
        sort($widths);

        $n = count($widths);
        if ($n < self::LEAST_PROFILES) {
            return Figure::none(Unmeasured::TooFewLines, $n);
        }
        $isEven = $widths[intdiv(3 * $n, 4)] - $widths[intdiv($n, 4)] <= self::SPREAD;

        return $isEven ? Figure::of($widths[intdiv($n, 2)], $n) : Figure::none(Unmeasured::Uneven, $n);
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

        // A fade is no line: a line ends.
        $about = max(1, (int) ceil(self::ENDS / $step));
        $before = $lights[max(0, $end - 1 - $about)] ?? $top;
        $after = $lights[min(count($lights) - 1, $end - 1 + $about)] ?? $ground;
        if ($end > 0 && $before - $after < self::FALL * ($top - $ground)) {
            return 0.0;
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
        $seen = Light::luminanceOf($this->pixels->run($y, $x, $x)[0] ?? 0);
        $light = $this->placement === null ? 1.0 : $this->shading?->run($this->placement, $y, $x, $x)[0] ?? 1.0;

        return Light::lightness($light > 0.0 ? $seen / $light : $seen);
    }
}
