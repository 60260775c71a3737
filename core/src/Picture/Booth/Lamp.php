<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Grid;

/** The light of the booth: a soft lamp above on the left, a sky, and what the paper throws back. */
final class Lamp
{
    /** Towards the lamp: right, down, towards the viewer. */
    private const X = -0.5;

    private const Y = -0.66;

    private const Z = 0.56;

    private const WRAP = 0.22;

    /** Mm from a point at which it is looked for what stands in the light. */
    private const LOOKS = [0.25, 0.5, 0.9, 1.4, 2.1, 3.0, 4.2];

    /** @var array<int, float> by pixel of the form's box: how open it lies to the sky */
    private array $open;

    /** @var array<int, float> how much of the lamp reaches it */
    private array $lit;

    public function __construct(private readonly SculptForm $form)
    {
        $this->open = $this->openness();
        $this->lit = $this->lamplight();
    }

    /** @return array<int, float> */
    private function openness(): array
    {
        $form = $this->form;
        $near = Grid::blurred($form->out, $form->width, $form->height, max(1, (int) round(0.28 * $form->scale)));
        $open = [];
        foreach ($near as $i => $mean) {
            $above = $mean - $form->out[$i];
            $open[] = $above > 0.0 ? exp(-1.0 * $above) : 1.0;
        }
        unset($near);
        $far = Grid::blurred($form->out, $form->width, $form->height, max(1, (int) round(1.1 * $form->scale)));
        foreach ($far as $i => $mean) {
            $above = $mean - $form->out[$i];
            if ($above > 0.0) {
                $open[$i] *= exp(-0.6 * $above);
            }
        }

        return $open;
    }

    /** @return array<int, float> */
    private function lamplight(): array
    {
        $form = $this->form;
        $steep = self::Z / hypot(self::X, self::Y);
        $looks = [];
        foreach (self::LOOKS as $mm) {
            $dx = (int) round((self::X / hypot(self::X, self::Y)) * $mm * $form->scale);
            $dy = (int) round((self::Y / hypot(self::X, self::Y)) * $mm * $form->scale);
            $looks[] = [$dx, $dy, $dy * $form->width + $dx, $mm * $steep + 0.12, 1 / (0.25 + 0.22 * $mm)];
        }
        $lit = array_fill(0, $form->width * $form->height, 1.0);
        foreach ($form->seen as $i => $ring) {
            if ($ring < 0) {
                continue;
            }
            $x = $i % $form->width;
            $y = intdiv($i, $form->width);
            $own = $form->out[$i];
            $dark = 0.0;
            foreach ($looks as [$dx, $dy, $by, $rise, $over]) {
                if ($x + $dx < 0 || $y + $dy < 0) {
                    break;
                }
                $d = ($form->out[$i + $by] - $own - $rise) * $over;
                $dark = $d > $dark ? $d : $dark;
            }
            if ($dark > 0.0) {
                $lit[$i] = 1 - 0.8 * ($dark > 1.0 ? 1.0 : $dark);
            }
        }

        // A lamp is no point: its shadows have soft edges.
        return Grid::blurred($lit, $form->width, $form->height, max(1, (int) round(0.16 * $form->scale)));
    }

    /**
     * What the patch sends to the camera, in linear light.
     *
     * @param  array<int, float>  $red  by pixel of the form's box, written to
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    public function shine(Patch $p, array &$red, array &$green, array &$blue): void
    {
        // Half way between the lamp and the viewer.
        $long = sqrt(self::X ** 2 + self::Y ** 2 + (self::Z + 1) ** 2);
        [$hx, $hy, $hz] = [self::X / $long, self::Y / $long, (self::Z + 1) / $long];
        foreach ($p->at as $k => $i) {
            [$nx, $ny, $nz] = [$p->nx[$k], $p->ny[$k], $p->nz[$k]];
            [$open, $lit] = [$this->open[$i], $this->lit[$i]];
            $key = ($nx * self::X + $ny * self::Y + $nz * self::Z + self::WRAP) / (1 + self::WRAP);
            $key = $key > 0.0 ? 1.02 * $key * $lit : 0.0;
            $sky = (0.33 - 0.22 * $ny) * $open;
            $floor = (0.08 + 0.10 * $ny) * $open;
            $er = 1.03 * $key + 0.94 * $sky + 1.06 * $floor;
            $eg = $key + 0.99 * $sky + $floor;
            $eb = 0.95 * $key + 1.08 * $sky + 0.9 * $floor;
            $nh = $nx * $hx + $ny * $hy + $nz * $hz;
            $nh = $nh > 0.0 ? $nh : 0.0;
            $n4 = $nh * $nh * $nh * $nh;
            $n14 = $n4 * $n4 * $n4 * $nh * $nh;
            $gloss = $p->gloss[$k];
            $white = (0.018 * $n4 * $n4 + $gloss * (0.05 * $n14 + 0.55 * $n14 ** 5)) * $lit;
            $metal = $p->metal[$k];
            if ($metal > 0.01) {
                [$mr, $mw] = self::metal($ny, $nz, $n14, $open, $lit);
                $er += $metal * ($mr - $er);
                $eg += $metal * ($mr - $eg);
                $eb += $metal * ($mr - $eb);
                $white += $metal * $mw;
            }
            $away = 1 - $nz;
            $white += 0.05 * $away * $away * (0.5 - 0.5 * $ny) * $open + 0.0;
            $glow = 1.9 * $p->glow[$k];
            $red[$i] = $p->r[$k] * ($er + $glow) + $white;
            $green[$i] = $p->g[$k] * ($eg + $glow) + $white;
            $blue[$i] = $p->b[$k] * ($eb + $glow) + $white;
        }
    }

    /** @return array{float, float} what flakes mirror in their own colour, and what is white on top */
    private static function metal(float $ny, float $nz, float $n14, float $open, float $lit): array
    {
        $up = -2 * $nz * $ny;
        $mirrored = $up > 0.0 ? 0.62 + 0.85 * $up : 0.62 + 0.5 * ($up < -1.0 ? -1.0 : $up);
        $sharp = $n14 * $n14 * $n14 * $n14;

        return [$mirrored * $open * (0.45 + 0.55 * $lit) + (0.9 * $n14 + 1.2 * $sharp) * $lit, 0.22 * $sharp * $lit];
    }
}
