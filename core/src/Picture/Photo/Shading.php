<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Colour\Srgb;

/**
 * The light on a model, from a photograph of it in undercoat alone: what falls on each place, to be divided out of a
 * photograph of the same figure painted.
 */
final class Shading
{
    /** Pixels to either side that are taken together: grain is no light. */
    private const AROUND = 1;

    /** Less light than this says too little. */
    private const LEAST = 0.06;

    private readonly float $reflects;

    /** @var array{float, float, float} */
    private readonly array $weights;

    /** @var array<int, float> */
    private readonly array $linear;

    /** @var array<int, array<int, float>> by row, of the photograph of the undercoat: sums from the left */
    private array $sums = [];

    public function __construct(
        private readonly Pixels $pixels,
        private readonly Placement $placement,
        GreyCard $card,
        Srgb $undercoat,
    ) {
        [$r, $g, $b] = $undercoat->linear();
        $this->reflects = 0.2126 * $r + 0.7152 * $g + 0.0722 * $b;
        $this->weights = $card->luminance();
        $this->linear = array_map(Light::linear(...), range(0, 255));
    }

    /**
     * @param  Placement  $painted  how the painted model lies in its own photograph
     * @return array<int, float> by place from 0: the light, 1 where a white would send 1; 0 where too little is known
     */
    public function run(Placement $painted, int $y, int $from, int $to): array
    {
        [$ax, $bx, $cx] = $painted->across;
        [$ay, $by, $cy] = $painted->down;
        $det = $ax * $by - $bx * $ay;
        $light = [];
        for ($x = $from; $x <= $to; $x++) {
            [$dx, $dy] = [$x + 0.5 - $cx, $y + 0.5 - $cy];
            $point = [($by * $dx - $bx * $dy) / $det, ($ax * $dy - $ay * $dx) / $det];
            [$px, $py] = $this->placement->at($point);
            $e = $this->around((int) floor($px), (int) floor($py)) / $this->reflects;
            $light[] = $e < self::LEAST ? 0.0 : $e;
        }

        return $light;
    }

    /** The mean luminance about a pixel. */
    private function around(int $x, int $y): float
    {
        $sum = 0.0;
        $n = 0;
        $from = max(0, $x - self::AROUND);
        $to = min($this->pixels->width() - 1, $x + self::AROUND);
        for ($row = max(0, $y - self::AROUND); $row <= min($this->pixels->height() - 1, $y + self::AROUND); $row++) {
            if ($to >= $from) {
                $sums = $this->sums[$row] ??= $this->summed($row);
                $sum += $sums[$to + 1] - $sums[$from];
                $n += $to - $from + 1;
            }
        }
        // Rows are asked for from the top down: what lies far above is not asked for again.
        unset($this->sums[$y - 8]);

        return $n === 0 ? 0.0 : $sum / $n;
    }

    /** @return array<int, float> */
    private function summed(int $row): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($this->pixels->run($row, 0, $this->pixels->width() - 1) as $c) {
            $sum +=
                $this->weights[0] * $this->linear[($c >> 16) & 255] +
                $this->weights[1] * $this->linear[($c >> 8) & 255] +
                $this->weights[2] * $this->linear[$c & 255];
            $sums[] = $sum;
        }

        return $sums;
    }
}
