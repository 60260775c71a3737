<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Dice;

/** Gradient noise (Perlin 2002, its fade), with directions all round so that no grid shows. */
final readonly class Noise
{
    /** @var list<int> */
    private array $order;

    /** @var array<int, float> */
    private array $gx;

    /** @var array<int, float> */
    private array $gy;

    public function __construct(int $seed)
    {
        $dice = new Dice($seed);
        $order = range(0, 255);
        for ($i = 255; $i > 0; $i--) {
            $j = $dice->roll() % ($i + 1);
            [$order[$i], $order[$j]] = [$order[$j], $order[$i]];
        }
        $this->order = [...$order, ...$order];
        $gx = $gy = [];
        for ($i = 0; $i < 256; $i++) {
            $angle = ($i + $dice->share()) * (M_PI / 128);
            $gx[] = cos($angle);
            $gy[] = sin($angle);
        }
        [$this->gx, $this->gy] = [$gx, $gy];
    }

    /** Within about −1 and 1, one wave a unit. */
    public function at(float $x, float $y): float
    {
        $x0 = (int) floor($x);
        $y0 = (int) floor($y);
        $fx = $x - $x0;
        $fy = $y - $y0;
        $x0 &= 255;
        $y0 &= 255;
        $order = $this->order;
        $a = $order[$x0] + $y0;
        $b = $order[$x0 + 1] + $y0;
        $aa = $order[$a & 255];
        $ab = $order[($a + 1) & 255];
        $ba = $order[$b & 255];
        $bb = $order[($b + 1) & 255];
        $u = $fx * $fx * $fx * ($fx * ($fx * 6 - 15) + 10);
        $v = $fy * $fy * $fy * ($fy * ($fy * 6 - 15) + 10);
        $gx = $this->gx;
        $gy = $this->gy;
        $n00 = $gx[$aa] * $fx + $gy[$aa] * $fy;
        $n10 = $gx[$ba] * ($fx - 1) + $gy[$ba] * $fy;
        $n01 = $gx[$ab] * $fx + $gy[$ab] * ($fy - 1);
        $n11 = $gx[$bb] * ($fx - 1) + $gy[$bb] * ($fy - 1);
        $top = $n00 + $u * ($n10 - $n00);

        return 1.5 * ($top + $v * ($n01 + $u * ($n11 - $n01) - $top));
    }
}
