<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Dice;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;

/**
 * The body of a sculpt in one view: which ring is seen at each pixel, how far it stands out, how deep it lies within
 * its line. Made once for a sculpt, a view and a size; what is painted on it comes later.
 */
final class SculptForm
{
    /** Mm between one layer and the next. */
    private const LAYER = 0.45;

    /** Pixels of the whole picture. */
    public readonly int $pictureWidth;

    public readonly int $pictureHeight;

    /** Pixels a mm. */
    public readonly float $scale;

    /** The box that holds the figure, in pixels of the picture. */
    public readonly int $left;

    public readonly int $top;

    public readonly int $width;

    public readonly int $height;

    /** @var list<Ring> the lowest layer first */
    public readonly array $rings;

    /** @var array<int, int> by pixel of the box: number of the ring that is seen; −1 where there is none */
    public array $seen;

    /** @var array<int, float> mm towards the viewer */
    public array $out;

    /** @var array<int, float> mm within the line of the ring that is seen */
    public array $depth;

    /** @var array<int, float> mm of carved relief */
    public array $relief;

    /** @var array<int, array{int, float}> by pixel on the line of a ring: the ring, and the share that it covers */
    public array $partly = [];

    /** @var array<int, float> by ring: mm of its deepest point */
    public array $deepest = [];

    public function __construct(public readonly Sculpt $sculpt, public readonly View $view, int $width)
    {
        [$frameWidth, $frameHeight] = $sculpt->frameMm ?? [60.0, 80.0];
        $this->pictureWidth = $width;
        $this->pictureHeight = (int) round(($width * $frameHeight) / $frameWidth);
        $this->scale = $width / $frameWidth;
        $this->rings = $this->ringsOf($sculpt);
        $this->left = max(0, min([$width - 2, ...array_map(fn (Ring $r) => $r->left, $this->rings)]) - 2);
        $this->top = max(0, min([$this->pictureHeight - 2, ...array_map(fn (Ring $r) => $r->top, $this->rings)]) - 2);
        $right = max([1, ...array_map(fn (Ring $r) => $r->left + $r->width, $this->rings)]);
        $bottom = max([1, ...array_map(fn (Ring $r) => $r->top + $r->height, $this->rings)]);
        $this->width = min($this->pictureWidth, $right + 2) - $this->left;
        $this->height = min($this->pictureHeight, $bottom + 2) - $this->top;
        $all = $this->width * $this->height;
        $this->seen = array_fill(0, $all, -1);
        $this->out = $this->depth = $this->relief = array_fill(0, $all, 0.0);
        foreach ($this->rings as $ring) {
            $this->put($ring);
        }
    }

    /** @return list<Ring> */
    private function ringsOf(Sculpt $sculpt): array
    {
        $areas = $sculpt->areas;
        usort($areas, fn (Area $a, Area $b) => $a->layer <=> $b->layer);
        $rings = [];
        foreach ($areas as $area) {
            foreach ($area->outline[$this->view->value] ?? [] as $nth => $points) {
                $rings[] = Ring::smooth(
                    count($rings),
                    $area,
                    $nth,
                    $points,
                    $this->pictureWidth,
                    $this->pictureHeight,
                );
            }
        }

        return $rings;
    }

    private function put(Ring $ring): void
    {
        $runs = $ring->runs();
        $form = new RingForm($ring, $runs, $this->scale);
        $seed = Dice::hash(Dice::ofWord($this->sculpt->name), Dice::ofWord($ring->area->key) + $ring->nth);
        $relief = (new Carving($ring, $this->scale, $seed, $this->eyesOn($ring)))->relief($runs);
        $this->deepest[] = $form->deepest;
        $base = self::LAYER * $ring->area->layer;
        $fade = 1 / max(0.05, 0.35 * $form->deepest);
        [$dx, $dy] = [$ring->left - $this->left, $ring->top - $this->top];
        foreach ($runs as $y => $ofRow) {
            $row = $y + $dy;
            if ($row < 0 || $row >= $this->height) {
                continue;
            }
            foreach ($ofRow as [$from, $to]) {
                $to = min($to, $this->width - 1 - $dx);
                for ($x = max($from, -$dx); $x <= $to; $x++) {
                    $here = $y * $ring->width + $x;
                    $i = $row * $this->width + $x + $dx;
                    $d = $form->depth[$here];
                    $w = $d * $fade;
                    $carved = $relief[$here] * ($w > 1.0 ? 1.0 : $w);
                    $this->seen[$i] = $ring->no;
                    $this->out[$i] = $base + $form->height[$here] + $carved;
                    $this->depth[$i] = $d;
                    $this->relief[$i] = $carved;
                    unset($this->partly[$i]);
                }
            }
        }
        foreach ($form->partly as $here => $share) {
            $x = $here % $ring->width + $dx;
            $y = intdiv($here, $ring->width) + $dy;
            if ($x >= 0 && $x < $this->width && $y >= 0 && $y < $this->height) {
                $this->partly[$y * $this->width + $x] = [$ring->no, $share];
            }
        }
    }

    /** @return list<array{float, float}> middles of the eyes within a ring of skin, in mm */
    private function eyesOn(Ring $ring): array
    {
        $eyes = [];
        foreach ($ring->area->material === Material::Skin ? $this->rings : [] as $other) {
            if ($other->area->material !== Material::Eye) {
                continue;
            }
            [$x, $y] = [$other->left + $other->width / 2, $other->top + $other->height / 2];
            $isWithin =
                $x > $ring->left &&
                $x < $ring->left + $ring->width &&
                $y > $ring->top &&
                $y < $ring->top + $ring->height;
            if ($isWithin) {
                $eyes[] = [$x / $this->scale, $y / $this->scale];
            }
        }

        return $eyes;
    }
}
