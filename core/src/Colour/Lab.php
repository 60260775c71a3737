<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** A colour in CIELAB, D65, 2° observer. */
final readonly class Lab
{
    public function __construct(public float $l, public float $a, public float $b)
    {
    }

    /**
     * The colour difference CIEDE2000 with kL = kC = kH = 1, as G. Sharma, W. Wu and E. N. Dalal write it out (Color
     * Research & Application 30(1), 2005, equations 2 to 22). Symmetric; 0 for equal colours.
     */
    public function deltaE00(self $other): float
    {
        $mean = (hypot($this->a, $this->b) + hypot($other->a, $other->b)) / 2;
        $g = 0.5 * (1 - sqrt($mean ** 7 / ($mean ** 7 + 25 ** 7)));
        [$a1, $a2] = [(1 + $g) * $this->a, (1 + $g) * $other->a];
        [$c1, $c2] = [hypot($a1, $this->b), hypot($a2, $other->b)];
        [$h1, $h2] = [self::hue($a1, $this->b), self::hue($a2, $other->b)];
        // Of a grey the hue is not defined and does not count.
        $turn = $c1 * $c2 === 0.0 ? 0.0 : $h2 - $h1;
        $turn = match (true) {
            $turn > 180 => $turn - 360,
            $turn < -180 => $turn + 360,
            default => $turn,
        };
        $hue = match (true) {
            $c1 * $c2 === 0.0 => $h1 + $h2,
            abs($h1 - $h2) <= 180 => ($h1 + $h2) / 2,
            $h1 + $h2 < 360 => ($h1 + $h2 + 360) / 2,
            default => ($h1 + $h2 - 360) / 2,
        };
        $l = ($this->l + $other->l) / 2;
        $c = ($c1 + $c2) / 2;
        $cos = fn (float $degrees): float => cos(deg2rad($degrees));
        $t = 1 - 0.17 * $cos($hue - 30) + 0.24 * $cos(2 * $hue) + 0.32 * $cos(3 * $hue + 6) - 0.2 * $cos(4 * $hue - 63);
        $byL = ($other->l - $this->l) / (1 + 0.015 * ($l - 50) ** 2 / sqrt(20 + ($l - 50) ** 2));
        $byC = ($c2 - $c1) / (1 + 0.045 * $c);
        $byH = 2 * sqrt($c1 * $c2) * sin(deg2rad($turn) / 2) / (1 + 0.015 * $c * $t);
        $blue = 2 * sqrt($c ** 7 / ($c ** 7 + 25 ** 7)) * sin(deg2rad(60 * exp(-((($hue - 275) / 25) ** 2))));

        return sqrt(max(0.0, $byL ** 2 + $byC ** 2 + $byH ** 2 - $blue * $byC * $byH));
    }

    /** In degrees from 0 to 360; 0 for grey. */
    public function chroma(): float
    {
        return hypot($this->a, $this->b);
    }

    private static function hue(float $a, float $b): float
    {
        return $a === 0.0 && $b === 0.0 ? 0.0 : fmod(rad2deg(atan2($b, $a)) + 360, 360);
    }
}
