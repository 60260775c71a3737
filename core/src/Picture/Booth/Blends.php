<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** Glazes, tones, edges, lines and reflections: what lies thin over the coats. */
final class Blends
{
    public static function fade(Stroke $s): void
    {
        $s->patch->blend($s->colour, $s->masks->slope(0.3, 1.0, 0.75 * $s->reach()));
    }

    public static function twoBrush(Stroke $s): void
    {
        $s->patch->blend($s->base->times(0.5), $s->masks->slope(0.62, 0.0, 0.5));
        $s->patch->blend($s->colour, $s->masks->slope(0.42, 1.02, 0.92 * $s->reach()));
    }

    public static function toningWash(Stroke $s): void
    {
        $s->patch->stain($s->colour->filter(), $s->masks->all(0.2));
        $s->patch->stain($s->colour->filter()->times(0.6), $s->masks->gathered(0.4, 0.45));
    }

    /** Saturated colour over a light dot whose middle stays bright. */
    public static function tintOver(Stroke $s): void
    {
        foreach (self::highest($s, 1) as [$x, $y, $r]) {
            $light = $s->colour->towards(new Colour(1.0, 1.0, 1.0), 0.4);
            $s->patch->paint($light, $s->masks->disc($x, $y, 1.25 * $r, 0.2));
            $s->patch->stain($s->colour->filter(), $s->masks->disc($x, $y, 1.6 * $r, 0.5));
            $s->patch->paint(new Colour(0.95, 0.95, 0.92), $s->masks->disc($x, $y, 0.4 * $r, 0.12));
        }
    }

    /** Lines inside one band of at most 0.30 mm along rims that face up, each thinner and brighter than the last. */
    public static function edge(Stroke $s): void
    {
        $wide = max(0.13, 0.25 - 0.05 * $s->edges) * ($s->reach() < 0.5 ? 0.8 : 1.0);
        $least = match (true) {
            $s->reach() > 0.9 => -0.05 + 0.12 * $s->edges,
            $s->reach() > 0.5 => 0.25,
            default => 0.5,
        };
        $wide = $s->isSpoiltBy('wide_line') ? max($wide, $s->spoilt['wide_line'] ?? 0.7) : $wide;
        $how = $s->masks->edge(0.01, $wide, -1.0, $least, $s->isSpoiltBy('wobbly_line') ? 1.1 : 0.22);
        if ($s->isSpoiltBy('broken_line')) {
            $noise = $s->noise(23);
            foreach ($how as $k => $a) {
                $how[$k] = $noise->at($s->patch->x[$k] * 0.8, $s->patch->y[$k] * 0.8) > 0.05 ? 0.0 : $a;
            }
        }
        $s->patch->paint($s->colour, $how);
        foreach ($how as $k => $a) {
            $s->patch->line[$k] = max($s->patch->line[$k], $a);
        }
    }

    /** Short strokes from the edge inwards, the denser the lighter. */
    public static function hatch(Stroke $s): void
    {
        $noise = $s->noise(21);
        $light = $s->masks->above($s->from(0.5), 0.25, 0.0, 0.9);
        $how = [];
        foreach ($s->patch->x as $k => $x) {
            $along = $x * 0.8 + $s->patch->y[$k] * 0.6;
            $over = $x * 0.6 - $s->patch->y[$k] * 0.8;
            $n = $noise->at($over * 5.2, $along * 0.7);
            $how[] = $light[$k] * ($n > 0.18 ? min(1.0, ($n - 0.18) * 6) : 0.0);
        }
        $s->patch->paint($s->colour, $how);
    }

    public static function point(Stroke $s): void
    {
        foreach (self::highest($s, $s->patch->ring->area->count > 4 ? 3 : 2) as [$x, $y, $r]) {
            $s->patch->paint($s->colour, $s->masks->disc($x, $y, min(0.2, 0.4 * $r), 0.16));
        }
    }

    /**
     * Where the painter's light is brightest, apart from one another.
     *
     * @return list<array{float, float, float}> x, y and a fitting radius, mm
     */
    public static function highest(Stroke $s, int $most): array
    {
        $patch = $s->patch;
        if ($patch->count === 0) {
            return [];
        }
        $radius = max(0.25, min(0.9, 0.35 * $patch->form->deepest[$patch->ring->no]));
        $found = [];
        $order = $patch->rank;
        arsort($order);
        foreach (array_keys($order) as $k) {
            if ($patch->edge[$k] < 0.35 * $radius) {
                continue;
            }
            foreach ($found as [$x, $y]) {
                if (hypot($patch->x[$k] - $x, $patch->y[$k] - $y) < 4 * $radius) {
                    continue 2;
                }
            }
            $found[] = [$patch->x[$k], $patch->y[$k], $radius];
            if (count($found) === $most) {
                break;
            }
        }

        return $found;
    }

    public static function line(Stroke $s, Colour $colour, float $wide, float $share): void
    {
        $down = $s->masks->edge(0.0, $wide, 1.0, -0.1, 0.3);
        $s->patch->paint($colour, array_map(fn (float $a) => $share * $a, $down));
        $s->patch->paint($colour, array_map(fn (float $a) => 0.45 * $a, $s->masks->edge(0.0, 0.6 * $wide, 0.0)));
    }

    /** A bright soft band across hard forms, its dark below. */
    public static function reflection(Stroke $s): void
    {
        $top = $s->patch->ring->top / $s->patch->form->scale;
        $tall = max(0.5, $s->patch->ring->height / $s->patch->form->scale);
        $light = $dark = [];
        foreach ($s->patch->y as $k => $y) {
            $at = ($y - $top) / $tall + 0.35 * $s->patch->nx[$k] - 0.1 * $s->patch->ny[$k];
            $light[] = 0.8 * exp(-((($at - 0.34) / 0.07) ** 2));
            $dark[] = 0.6 * exp(-((($at - 0.56) / 0.1) ** 2));
        }
        $s->patch->paint($s->base->times(0.25), $dark);
        $s->patch->paint($s->colour->towards(new Colour(0.95, 0.95, 0.93), 0.45), $light);
    }

    public static function varnish(Stroke $s, float $gloss): void
    {
        foreach ($s->patch->gloss as $k => $_) {
            $s->patch->gloss[$k] = $gloss;
        }
    }
}
