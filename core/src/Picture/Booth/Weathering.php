<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** Chips, damage, rust, streaks, verdigris and dust; the ground, its plants and its rim. */
final class Weathering
{
    public static function chips(Stroke $s): void
    {
        $spots = $s->masks->spots($s->noise(51), 3.2, 0.12, 0.08);
        $how = [];
        foreach ($s->patch->edge as $k => $d) {
            $near = $d < 0.55 ? 1 - $d / 0.55 : 0.0;
            $how[] = $near > 0.05 && $spots[$k] * 0.8 + $near * 0.55 > 0.82 ? 0.95 : 0.0;
        }
        $s->patch->paint($s->colour->towards(Colour::hex('#2e2622'), 0.7), $how);
        $s->patch->flakes($how, 0.15);
    }

    /** Thin dark strokes with a light rim below. */
    public static function damage(Stroke $s): void
    {
        $dice = $s->dice(53);
        $dark = $light = $s->masks->all(0.0);
        for ($n = 0; $s->patch->count > 0 && $n < 7; $n++) {
            $k = $dice->roll() % $s->patch->count;
            [$x, $y] = [$s->patch->x[$k], $s->patch->y[$k]];
            $long = $dice->between(0.35, 0.9);
            $lean = $dice->between(-0.5, 0.5);
            foreach ($s->patch->x as $i => $px) {
                $u = $px - $x;
                if (abs($u) < $long) {
                    $v = $s->patch->y[$i] - $y - $lean * $u;
                    $thick = 0.07 * (1 - abs($u) / $long);
                    $dark[$i] = abs($v) < $thick ? 0.95 : $dark[$i];
                    $light[$i] = $v > $thick && $v < $thick + 0.09 ? 0.85 : $light[$i];
                }
            }
        }
        $s->patch->paint($s->base->times(2.2)->towards(new Colour(0.8, 0.8, 0.78), 0.25), $light);
        $s->patch->paint($s->base->times(0.1), $dark);
    }

    public static function rust(Stroke $s): void
    {
        $noise = $s->noise(55);
        $how = $deep = [];
        foreach ($s->patch->x as $k => $x) {
            $n = $noise->at($x * 1.3, $s->patch->y[$k] * 0.9) + 0.5 * $noise->at($x * 4.1, $s->patch->y[$k] * 2.2);
            $low = 0.35 - 0.5 * $s->patch->rank[$k] + ($s->patch->edge[$k] < 0.4 ? 0.3 : 0.0);
            $how[] = max(0.0, min(0.85, ($n + $low - 0.1) * 2.2));
            $deep[] = max(0.0, min(0.7, ($n + $low - 0.45) * 2.5));
        }
        $s->patch->paint(Colour::hex('#8a4a24'), $how);
        $s->patch->paint(Colour::hex('#4a2415'), $deep);
        $s->patch->flakes($how, 0.0);
    }

    /** Thin runs straight down from where they begin. */
    public static function streaks(Stroke $s): void
    {
        $noise = $s->noise(57);
        $top = $s->patch->ring->top / $s->patch->form->scale;
        $tall = max(0.5, $s->patch->ring->height / $s->patch->form->scale);
        $how = [];
        foreach ($s->patch->x as $k => $x) {
            $n = $noise->at($x * 3.0, 2.0 + 0.12 * $s->patch->y[$k]);
            $fall = 1 - ($s->patch->y[$k] - $top) / $tall;
            $how[] = $n > 0.22 ? min(0.6, ($n - 0.22) * 2.4) * (0.35 + 0.65 * $fall) : 0.0;
        }
        $s->patch->paint(Colour::hex('#3b3126'), $how);
        $s->patch->flakes($how, 0.1);
    }

    public static function verdigris(Stroke $s): void
    {
        $spots = $s->masks->spots($s->noise(59), 1.7, -0.1, 0.4);
        $how = Masks::both($s->masks->gathered(0.42, 1.0, 0.5), $spots);
        $s->patch->paint(Colour::hex('#6fa595'), array_map(fn (float $a) => 0.85 * $a, $how));
        $s->patch->flakes($how, 0.0);
    }

    /** Dry earth low down, thinner the higher. */
    public static function dust(Stroke $s, float $share): void
    {
        $noise = $s->noise(61);
        $bottom = $s->patch->y === [] ? 0.0 : max($s->patch->y);
        $how = [];
        foreach ($s->patch->y as $k => $y) {
            $up = ($bottom - $y) / 3.2;
            $n = 0.75 + 0.5 * $noise->at($s->patch->x[$k] * 2.4, $y * 2.4);
            $how[] = max(0.0, min(1.0, $share * (1 - $up) * $n));
        }
        $s->patch->paint(Colour::hex('#8d7a5e'), $how);
        $s->patch->flakes($how, 0.0);
    }

    public static function texture(Stroke $s, float $waves): void
    {
        $spots = $s->masks->spots($s->noise(63), $waves, 0.05, 0.25, 1.6);
        $s->patch->paint(Colour::hex('#6e675c'), $s->masks->all(0.9));
        $s->patch->paint(Colour::hex('#575046'), $spots);
    }

    public static function ground(Stroke $s): void
    {
        $s->patch->paint($s->colour, $s->masks->all(0.98));
        $spots = $s->masks->spots($s->noise(65), 2.6, 0.0, 0.5, 1.8);
        $s->patch->paint($s->colour->times(0.55), array_map(fn (float $a) => 0.6 * $a, $spots));
    }

    public static function wet(Stroke $s): void
    {
        $noise = $s->noise(67);
        foreach ($s->patch->x as $k => $x) {
            if ($noise->at($x * 0.33, $s->patch->y[$k] * 0.8) > 0.05) {
                $s->patch->gloss[$k] = 1.0;
                $s->patch->r[$k] *= 0.55;
                $s->patch->g[$k] *= 0.62;
                $s->patch->b[$k] *= 0.68;
            }
        }
    }

    /** Stones and a fallen plank. */
    public static function scene(Stroke $s): void
    {
        $dice = $s->dice(69);
        for ($n = 0; $s->patch->count > 0 && $n < 9; $n++) {
            $k = $dice->roll() % $s->patch->count;
            $r = $dice->between(0.25, 0.7);
            $grey = Colour::hex('#7d7a73')->times($dice->between(0.6, 1.2));
            [$x, $y] = [$s->patch->x[$k], $s->patch->y[$k]];
            $s->patch->paint($grey->times(0.35), $s->masks->disc($x + 0.12, $y + 0.12, $r, 0.15));
            $s->patch->paint($grey, $s->masks->disc($x, $y, 0.9 * $r, 0.1));
        }
    }
}
