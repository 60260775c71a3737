<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** A photograph made small, to look for things in it: every pixel the mean of a square of the photograph's. */
final readonly class Reduced
{
    /** Pixels across at most. */
    private const ACROSS = 320;

    /** Pixels of the photograph along a side of the square. */
    public int $step;

    public int $width;

    public int $height;

    /** @var array<int, float> luminance, white 1, row by row */
    public array $y;

    /** @var array<int, float> L* */
    public array $l;

    /** @var array<int, float> a* */
    public array $a;

    /** @var array<int, float> b* */
    public array $b;

    public function __construct(Pixels $pixels)
    {
        $this->step = max(1, intdiv($pixels->width() + self::ACROSS - 1, self::ACROSS));
        $this->width = intdiv($pixels->width(), $this->step);
        $this->height = intdiv($pixels->height(), $this->step);
        $linear = array_map(Light::linear(...), range(0, 255));
        $n = $this->step * $this->step;
        $ys = $ls = $as = $bs = [];
        for ($row = 0; $row < $this->height; $row++) {
            $r = $g = $b = array_fill(0, $this->width, 0.0);
            for ($k = 0; $k < $this->step; $k++) {
                $run = $pixels->run($row * $this->step + $k, 0, $this->width * $this->step - 1);
                foreach ($run as $x => $c) {
                    $at = intdiv($x, $this->step);
                    $r[$at] += $linear[($c >> 16) & 255];
                    $g[$at] += $linear[($c >> 8) & 255];
                    $b[$at] += $linear[$c & 255];
                }
            }
            for ($x = 0; $x < $this->width; $x++) {
                $lab = Light::lab($r[$x] / $n, $g[$x] / $n, $b[$x] / $n);
                $ys[] = (0.2126 * $r[$x] + 0.7152 * $g[$x] + 0.0722 * $b[$x]) / $n;
                [$ls[], $as[], $bs[]] = [$lab->l, $lab->a, $lab->b];
            }
        }
        [$this->y, $this->l, $this->a, $this->b] = [$ys, $ls, $as, $bs];
    }
}
