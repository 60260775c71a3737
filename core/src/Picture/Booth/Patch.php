<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Sculpt\Rank;

/** The pixels of one ring that are seen, one entry each in every list, and the paint on them. */
final class Patch
{
    /** The grey of undercoat that nobody chose. */
    public const UNDERCOAT = '#8d8c88';

    private const BINS = 2048;

    /** @var array<int, int> pixel of the form's box */
    public array $at = [];

    /** @var array<int, float> mm in the frame */
    public array $x = [];

    /** @var array<int, float> */
    public array $y = [];

    /** @var array<int, float> normal: right, down, towards the viewer */
    public array $nx = [];

    /** @var array<int, float> */
    public array $ny = [];

    /** @var array<int, float> */
    public array $nz = [];

    /** @var array<int, float> mm within the ring's line */
    public array $edge = [];

    /** @var array<int, float> 0 the darkest place by the painter's light, 1 the brightest: equal shares of the ring */
    public array $rank = [];

    /** @var array<int, float> −1 to 1, fine, by the brush */
    public array $fine = [];

    /** @var array<int, float> linear light that the paint gives back */
    public array $r = [];

    /** @var array<int, float> */
    public array $g = [];

    /** @var array<int, float> */
    public array $b = [];

    /** @var array<int, float> share of metal flakes */
    public array $metal = [];

    /** @var array<int, float> 0 matt, 1 gloss */
    public array $gloss = [];

    /** @var array<int, float> light of its own, in the paint's colour */
    public array $glow = [];

    /** @var array<int, float> share of the undercoat that shows */
    public array $bare = [];

    /** @var array<int, float> share that is on a drawn line */
    public array $line = [];

    public readonly int $count;

    public function __construct(public readonly SculptForm $form, public readonly Ring $ring, int $seed)
    {
        $brush = new Noise($seed);
        $isLying = $ring->area->rank === Rank::Ground;
        [$width, $scale] = [$form->width, $form->scale];
        $x0 = max(0, $ring->left - $form->left);
        $x1 = min($form->width, $ring->left - $form->left + $ring->width);
        $y1 = min($form->height, $ring->top - $form->top + $ring->height);
        for ($row = max(0, $ring->top - $form->top); $row < $y1; $row++) {
            for ($column = $x0, $i = $row * $width + $x0; $column < $x1; $column++, $i++) {
                if ($form->seen[$i] !== $ring->no) {
                    continue;
                }
                [$nx, $ny] = $this->slope($i, $column, $row);
                if ($isLying) {
                    $ny -= 0.9;
                }
                $long = 1 / sqrt($nx * $nx + $ny * $ny + 1);
                $mx = ($column + $form->left) / $scale;
                $my = ($row + $form->top) / $scale;
                $this->at[] = $i;
                $this->x[] = $mx;
                $this->y[] = $my;
                $this->nx[] = $nx * $long;
                $this->ny[] = $ny * $long;
                $this->nz[] = $long;
                $this->edge[] = $form->depth[$i];
                $this->fine[] = $brush->at($mx * 5.1, $my * 5.1) * 0.6 + $brush->at($mx * 11.3, $my * 11.3) * 0.5;
            }
        }
        $this->count = count($this->at);
        $zeros = $this->count === 0 ? [] : array_fill(0, $this->count, 0.0);
        $this->metal = $this->gloss = $this->glow = $this->line = $zeros;
        $this->bare = $this->count === 0 ? [] : array_fill(0, $this->count, 1.0);
        $this->r = $this->g = $this->b = $zeros;
        $this->rank = $this->ranked();
    }

    /** @return array{float, float} how the surface falls away to the right and downwards, as a normal leans */
    private function slope(int $i, int $column, int $row): array
    {
        $form = $this->form;
        $seen = $form->seen;
        $own = $this->ring->no;
        $here = $form->out[$i];
        $left = $column > 0 && $seen[$i - 1] === $own ? $here - $form->out[$i - 1] : null;
        $right = $column + 1 < $form->width && $seen[$i + 1] === $own ? $form->out[$i + 1] - $here : null;
        $up = $row > 0 && $seen[$i - $form->width] === $own ? $here - $form->out[$i - $form->width] : null;
        $below = $i + $form->width;
        $down = $row + 1 < $form->height && $seen[$below] === $own ? $form->out[$below] - $here : null;
        $across = $left === null ? $right ?? 0.0 : ($right === null ? $left : ($left + $right) / 2);
        $fall = $up === null ? $down ?? 0.0 : ($down === null ? $up : ($up + $down) / 2);
        // What turns away steeply is held: nobody sees more of it.
        $most = 2.6;
        $across *= $form->scale;
        $fall *= $form->scale;

        return [-max(-$most, min($most, $across)), -max(-$most, min($most, $fall))];
    }

    /** How the surface faces up, seen over a quarter of a millimetre: what a brush feels, not each grain. */
    private function facesUp(int $i): ?float
    {
        $form = $this->form;
        $by = max(1, (int) round(0.13 * $form->scale)) * $form->width;
        $own = $this->ring->no;
        if (($form->seen[$i - $by] ?? -1) !== $own || ($form->seen[$i + $by] ?? -1) !== $own) {
            return null;
        }
        $fall = (($form->out[$i + $by] - $form->out[$i - $by]) * $form->scale * $form->width) / (2 * $by);

        return $fall / sqrt(1 + $fall * $fall);
    }

    /**
     * The painter's light, 0.62 facing up + 0.38 relief + 0.34 height on the part + 0.10 side, as a rank: the share of
     * the ring that is darker.
     *
     * @return array<int, float>
     */
    private function ranked(): array
    {
        $light = [];
        $tall = max(1.0, $this->ring->height / $this->form->scale);
        $top = $this->ring->top / $this->form->scale;
        $sum = $squares = 0.0;
        foreach ($this->at as $i) {
            $sum += $this->form->relief[$i];
            $squares += $this->form->relief[$i] ** 2;
        }
        $mean = $sum / max(1, $this->count);
        $spread = sqrt(max(0.0, $squares / max(1, $this->count) - $mean * $mean));
        $over = 0.8 / max(0.02, $spread);
        foreach ($this->at as $k => $i) {
            $relief = ($this->form->relief[$i] - $mean) * $over;
            $light[] =
                0.62 * ($this->facesUp($i) ?? -$this->ny[$k]) +
                0.38 * ($relief > 1.5 ? 1.5 : ($relief < -1.5 ? -1.5 : $relief)) +
                0.34 * (1 - ($this->y[$k] - $top) / $tall) -
                0.1 * $this->nx[$k];
        }
        if ($light === []) {
            return [];
        }
        [$low, $high] = [min($light), max($light)];
        $to = (self::BINS - 1) / max(1e-9, $high - $low);
        $bins = array_fill(0, self::BINS, 0);
        foreach ($light as $value) {
            $bins[(int) (($value - $low) * $to)]++;
        }
        $shares = [];
        $sum = 0;
        foreach ($bins as $n) {
            $shares[] = ($sum + $n / 2) / $this->count;
            $sum += $n;
        }

        return array_map(fn (float $value) => $shares[(int) (($value - $low) * $to)], $light);
    }

    /**
     * Paint over what is there.
     *
     * @param  array<int, float>  $how  share that it covers, pixel by pixel
     */
    public function paint(Colour $colour, array $how): void
    {
        [$r, $g, $b] = [$colour->r, $colour->g, $colour->b];
        foreach ($how as $k => $a) {
            if ($a > 0.002) {
                $this->r[$k] += $a * ($r - $this->r[$k]);
                $this->g[$k] += $a * ($g - $this->g[$k]);
                $this->b[$k] += $a * ($b - $this->b[$k]);
                $this->bare[$k] *= 1 - $a;
            }
        }
    }

    /**
     * Paint worked into what is there while both are thin or wet: it goes over in even steps for the eye, which sees
     * lightness by the cube root of light (CIE 15).
     *
     * @param  array<int, float>  $how  share that it covers, pixel by pixel
     */
    public function blend(Colour $colour, array $how): void
    {
        [$r, $g, $b] = [$colour->r ** (1 / 3), $colour->g ** (1 / 3), $colour->b ** (1 / 3)];
        foreach ($how as $k => $a) {
            if ($a > 0.002) {
                $this->r[$k] = ((1 - $a) * $this->r[$k] ** (1 / 3) + $a * $r) ** 3;
                $this->g[$k] = ((1 - $a) * $this->g[$k] ** (1 / 3) + $a * $g) ** 3;
                $this->b[$k] = ((1 - $a) * $this->b[$k] ** (1 / 3) + $a * $b) ** 3;
                $this->bare[$k] *= 1 - $a;
            }
        }
    }

    /**
     * See-through colour over what is there: what comes through is multiplied.
     *
     * @param  array<int, float>  $how
     */
    public function stain(Colour $colour, array $how): void
    {
        [$r, $g, $b] = [$colour->r, $colour->g, $colour->b];
        foreach ($how as $k => $a) {
            if ($a > 0.002) {
                $this->r[$k] *= 1 - $a + $a * $r;
                $this->g[$k] *= 1 - $a + $a * $g;
                $this->b[$k] *= 1 - $a + $a * $b;
            }
        }
    }

    /** @param  array<int, float>  $how */
    public function flakes(array $how, float $metal): void
    {
        foreach ($how as $k => $a) {
            $this->metal[$k] += $a * ($metal - $this->metal[$k]);
        }
    }

    /** The paint that most of it has, in linear light. */
    public function mean(): Colour
    {
        $n = max(1, $this->count);

        return new Colour(array_sum($this->r) / $n, array_sum($this->g) / $n, array_sum($this->b) / $n);
    }
}
