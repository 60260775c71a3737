<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** Grounds, bases, shades, lights and blends. */
final class Coats
{
    /** Where each light begins, of the painter's light: every one stands on the one before. */
    private const LIGHTS = [0.48, 0.68, 0.83, 0.92, 0.965];

    /** The same where there are few: one light alone is kept to what stands up. */
    private const FEW_LIGHTS = [1 => [0.68], 2 => [0.56, 0.83]];

    public static function rank(Stroke $s): float
    {
        $lights = self::FEW_LIGHTS[$s->lightsInAll] ?? self::LIGHTS;

        return $s->from($lights[min($s->lights, count($lights) - 1)]);
    }

    /** From a rank upwards: with an edge, or feathered into what a blend lays beside it. */
    public static function step(Stroke $s, Colour $colour, float $from, float $soft, float $share): void
    {
        if ($s->isBlended) {
            $s->patch->blend($colour, $s->masks->slope($from - 0.22, 1.02, $share, 0.05));
        } else {
            $s->patch->paint($colour, $s->masks->above($from, $soft, $soft, $share));
        }
    }

    /** Smooth from an airbrush, faintly grainy from a can, streaked by a brush. */
    public static function undercoat(Stroke $s, float $grain, float $streaks): void
    {
        $s->patch->paint($s->colour, $s->masks->all(1.0));
        foreach ($s->patch->fine as $k => $fine) {
            $s->patch->r[$k] *= 1 + $grain * $fine;
            $s->patch->g[$k] *= 1 + $grain * $fine;
            $s->patch->b[$k] *= 1 + $grain * $fine;
            $s->patch->bare[$k] = 1.0;
        }
        if ($streaks > 0.0) {
            self::streaks($s, $streaks);
        }
    }

    public static function cover(Stroke $s, float $share): void
    {
        $s->patch->paint($s->colour, $s->masks->all($share));
        $s->patch->flakes($s->masks->all($share), 0.0);
        self::streaks($s, 0.035);
    }

    /** One coat: the ground shows through where the paint ran thin. */
    public static function thin(Stroke $s): void
    {
        $how = [];
        $noise = $s->noise(11);
        foreach ($s->patch->x as $k => $x) {
            $n = $noise->at($x * 1.6, $s->patch->y[$k] * 1.1);
            $how[] = 0.97 - 0.1 * max(0.0, $n) - 0.05 * max(0.0, $s->patch->fine[$k]);
        }
        $s->patch->paint($s->colour, $how);
        $s->patch->flakes($s->masks->all(1.0), 0.0);
    }

    /** Thin paint over a value sketch: what lies under it keeps its lights and darks. */
    public static function shaded(Stroke $s): void
    {
        $s->patch->paint($s->colour->times(0.5), $s->masks->all(0.94));
        $s->patch->paint($s->colour, $s->masks->ramp(0.15, 0.75, 0.95));
        $s->patch->paint($s->colour->times(1.25), $s->masks->ramp(0.7, 1.05, 0.6));
    }

    /** A stain colours and shades in one go: thin on what stands up, dark where it runs together. */
    public static function stained(Stroke $s, float $rank, float $dark): void
    {
        $s->patch->paint($s->colour->times(1.25), $s->masks->all(0.94));
        $s->patch->stain($s->colour->filter()->times(0.30), $s->masks->gathered($rank, $dark, 1.2));
        $thin = $s->colour->times(2.0)->towards(new Colour(0.8, 0.78, 0.72), 0.12);
        $s->patch->paint($thin, $s->masks->ramp(0.7, 1.0, 0.35));
        self::streaks($s, 0.10);
    }

    public static function faded(Stroke $s): void
    {
        $s->patch->paint($s->colour, $s->masks->all(0.95));
        $s->patch->stain($s->colour->filter()->times(0.25), $s->masks->slope(0.62, 0.0, 0.85));
        $s->patch->blend($s->colour->times(1.9), $s->masks->slope(0.45, 1.0, 0.6));
    }

    public static function wetBlend(Stroke $s): void
    {
        $s->patch->paint($s->colour, $s->masks->all(1.0));
        $s->patch->blend($s->colour->times(0.42), $s->masks->slope(0.5, 0.0, 0.9));
        $s->patch->blend($s->colour->times(1.7), $s->masks->slope(0.4, 1.0, 0.7));
    }

    public static function metal(Stroke $s, float $shine): void
    {
        $s->patch->paint($s->colour, $s->masks->all(1.0));
        $s->patch->flakes($s->masks->all(1.0), $shine);
    }

    /** Metal brushed nearly dry over dark: the deep places stay dark. */
    public static function dryMetal(Stroke $s): void
    {
        $how = $s->masks->above($s->from(0.22), 0.16, 0.22, 0.95);
        $s->patch->paint($s->colour, $how);
        $s->patch->flakes($how, 0.9);
    }

    /** Painted metal: a dark horizon with a bright sky above it and a soft ground below. */
    public static function illusion(Stroke $s): void
    {
        $s->patch->paint($s->colour->times(0.45), $s->masks->all(1.0));
        $s->patch->flakes($s->masks->all(1.0), 0.0);
        $bright = $s->colour->towards(new Colour(0.95, 0.93, 0.88), 0.65);
        $top = $s->patch->ring->top / $s->patch->form->scale;
        $tall = max(0.5, $s->patch->ring->height / $s->patch->form->scale);
        $sky = $ground = $line = [];
        foreach ($s->patch->y as $k => $y) {
            $at = ($y - $top) / $tall - 0.08 * $s->patch->nx[$k] - 0.28 * $s->patch->ny[$k];
            $sky[] = $at < 0.45 ? min(1.0, max(0.0, (0.45 - $at) * 2.6)) : 0.0;
            $line[] = max(0.0, 1 - abs($at - 0.5) * 9);
            $ground[] = $at > 0.56 ? min(0.7, ($at - 0.56) * 2.0) : 0.0;
        }
        $s->patch->paint($bright, $sky);
        $s->patch->paint($s->colour->times(0.12), $line);
        $s->patch->paint($s->colour, $ground);
    }

    public static function wash(Stroke $s, float $gather, float $tint): void
    {
        $filter = $s->colour->towards($s->colour->filter()->times(0.35), 0.5);
        $s->patch->stain($filter->towards(new Colour(1.0, 1.0, 1.0), 0.45), $s->masks->all($tint * $s->reach()));
        $s->patch->stain($filter, $s->masks->gathered(0.5, $gather * $s->reach(), 0.9));
        self::streaks($s, 0.03);
    }

    public static function stainOver(Stroke $s): void
    {
        $s->patch->stain($s->colour->filter(), $s->masks->all(0.7));
        $s->patch->paint($s->colour, $s->masks->all(0.22));
        $s->patch->stain($s->colour->filter()->times(0.4), $s->masks->gathered(0.4, 0.6));
    }

    public static function dry(Stroke $s, Mark $mark): void
    {
        $rank = self::rank($s) + ($mark === Mark::Overbrush ? -0.12 : 0.0);
        $share = $mark === Mark::Overbrush ? 0.52 : 0.4;
        $s->patch->paint($s->colour, $s->masks->above($rank, 0.16, 0.36, $share));
        if ($mark === Mark::Drybrush) {
            // A dry brush catches edges as well.
            $edges = $s->masks->edge(0.0, 0.22, -1.0, 0.05, 0.6);
            $s->patch->paint($s->colour, Masks::both($edges, $s->masks->above(0.3, 0.4, 0.5, 0.7)));
        }
    }

    /** The faint unevenness that any brush leaves. */
    private static function streaks(Stroke $s, float $by): void
    {
        $noise = $s->noise(7);
        foreach ($s->patch->x as $k => $x) {
            $n = 1 + $by * $noise->at($x * 1.9, $s->patch->y[$k] * 0.8);
            $s->patch->r[$k] *= $n;
            $s->patch->g[$k] *= $n;
            $s->patch->b[$k] *= $n;
        }
    }
}
