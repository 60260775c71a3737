<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** Eyes, lenses, lights, decals, letters and freehand. */
final class Details
{
    /** @return array{float, float, float, float} middle and half sizes, mm */
    private static function middle(Stroke $s): array
    {
        $ring = $s->patch->ring;
        $scale = $s->patch->form->scale;

        return [
            ($ring->left + $ring->width / 2) / $scale,
            ($ring->top + $ring->height / 2) / $scale,
            ($ring->width - 3) / 2 / $scale,
            ($ring->height - 3) / 2 / $scale,
        ];
    }

    public static function eye(Stroke $s, bool $full): void
    {
        [$x, $y, $half, $tall] = self::middle($s);
        $r = max(0.08, min($half, $tall));
        if ($s->isSpoiltBy('eyes_uneven') && $s->patch->ring->nth % 2 === 1) {
            [$x, $y] = [$x + 0.45 * $r, $y - 0.35 * $r];
        }
        $s->patch->paint(Colour::hex('#e6dfd0'), $s->masks->all(1.0));
        $s->patch->flakes($s->masks->all(1.0), 0.0);
        if ($full) {
            $iris = $s->colour->luminance() > 0.35 ? Colour::hex('#4a5a3a') : $s->colour;
            $s->patch->paint($iris, $s->masks->disc($x, $y + 0.05 * $r, 0.66 * $r, 0.05));
            $s->patch->paint(Colour::hex('#0c0b0b'), $s->masks->disc($x, $y + 0.05 * $r, 0.36 * $r, 0.05));
            $s->patch->paint(Colour::hex('#1a1210'), $s->masks->edge(0.0, 0.16 * $r, -1.0, -0.2));
            $s->patch->paint(Colour::hex('#ffffff'), $s->masks->disc($x - 0.22 * $r, $y - 0.2 * $r, 0.16 * $r, 0.05));
        } else {
            $s->patch->paint(Colour::hex('#141110'), $s->masks->disc($x, $y, 0.46 * $r, 0.06));
        }
    }

    /** Dark above, light below, a bright point where the light comes from. */
    public static function lens(Stroke $s, bool $fade): void
    {
        [$x, $y, $half, $tall] = self::middle($s);
        $s->patch->paint($s->colour, $s->masks->all(1.0));
        $s->patch->flakes($s->masks->all(1.0), 0.0);
        $how = [];
        foreach ($s->patch->x as $k => $px) {
            $at = (($px - $x) / max(0.1, $half) + ($s->patch->y[$k] - $y) / max(0.1, $tall)) / 2;
            $how[] = $fade ? max(0.0, min(1.0, 0.5 + 0.75 * $at)) : ($at > 0.12 ? 1.0 : 0.0);
        }
        $light = $s->colour->times(2.2)->towards(new Colour(0.95, 0.97, 1.0), 0.35);
        $s->patch->paint($s->colour->times(0.22), array_map(fn (float $a) => 0.85 * (1 - $a), $how));
        $s->patch->paint($light, array_map(fn (float $a) => 0.8 * $a, $how));
        $r = max(0.1, 0.2 * min($half, $tall));
        $s->patch->paint(Colour::hex('#ffffff'), $s->masks->disc($x - 0.42 * $half, $y - 0.42 * $tall, $r, 0.08));
        foreach ($s->patch->gloss as $k => $_) {
            $s->patch->gloss[$k] = 0.6;
        }
    }

    public static function lit(Stroke $s, bool $glows): void
    {
        [$x, $y, $half, $tall] = self::middle($s);
        $s->patch->paint($s->colour, $s->masks->all($glows ? 0.55 : 1.0));
        $r = max($half, $tall);
        $bright = $s->colour->towards(new Colour(1.0, 0.96, 0.8), 0.75);
        $s->patch->paint($bright, $s->masks->disc($x, $y, 0.6 * $r, 0.9 * $r));
        foreach ($s->patch->glow as $k => $_) {
            $d = hypot($s->patch->x[$k] - $x, $s->patch->y[$k] - $y) / max(0.1, $r);
            $s->patch->glow[$k] = max($s->patch->glow[$k], ($glows ? 0.55 : 0.25) * max(0.0, 1 - 0.7 * $d));
        }
    }

    public static function decal(Mark $mark, Stroke $s): void
    {
        [$x, $y, $r] = self::where($s);
        $ink = $s->base->luminance() > 0.18 ? Colour::hex('#1d1c22') : Colour::hex('#e9e4d6');
        if ($mark === Mark::Decal) {
            // The film of a decal that is not settled catches the light.
            foreach ($s->masks->disc($x, $y, 1.35 * $r, 0.03) as $k => $a) {
                $s->patch->gloss[$k] = max($s->patch->gloss[$k], 0.75 * $a);
            }
        }
        $noise = $s->noise(31);
        $outer = $s->masks->disc($x, $y, $r, 0.05);
        $inner = $s->masks->disc($x, $y, 0.72 * $r, 0.05);
        $how = [];
        foreach ($outer as $k => $a) {
            $dx = abs($s->patch->x[$k] - $x);
            $dy = abs($s->patch->y[$k] - $y);
            $isCross = $dx < 0.13 * $r || $dy < 0.13 * $r;
            $a = max($a - $inner[$k], $isCross ? $inner[$k] : 0.0);
            if ($mark === Mark::WornDecal) {
                $worn = $noise->at($s->patch->x[$k] * 4, $s->patch->y[$k] * 4) > 0.28 - (0.3 * ($dx + $dy)) / $r;
                $a = $worn ? 0.0 : $a;
            }
            $how[] = $a;
        }
        $s->patch->paint($ink, $how);
    }

    /** @return array{float, float, float} where something is put: on the widest place, its middle and radius, mm */
    private static function where(Stroke $s): array
    {
        $deepest = 0.0;
        [$x, $y] = self::middle($s);
        [, $my, , $tall] = self::middle($s);
        foreach ($s->patch->edge as $k => $d) {
            $low = 1 - 0.35 * abs($s->patch->y[$k] - $my - 0.25 * $tall) / max(0.5, $tall);
            if ($d * $low > $deepest) {
                $deepest = $d * $low;
                [$x, $y] = [$s->patch->x[$k], $s->patch->y[$k]];
            }
        }

        return [$x, $y, max(0.35, min(2.2, 0.62 * $deepest))];
    }

    /** Lines of writing: short dashes that suggest it, or strokes that can be read as letters. */
    public static function letters(Stroke $s, bool $readable): void
    {
        [$x, $y, $half, $tall] = self::middle($s);
        $ink = $s->base->luminance() > 0.15 ? Colour::hex('#231c17') : Colour::hex('#e9e0c8');
        $pitch = $readable ? 0.62 : 0.5;
        $dice = $s->dice(41);
        $words = [];
        for ($i = 0; $i < 400; $i++) {
            $words[] = $dice->share();
        }
        $how = [];
        foreach ($s->patch->x as $k => $px) {
            $u = $px - $x;
            $v = $s->patch->y[$k] - $y;
            $how[] =
                abs($u) > 0.72 * $half || abs($v) > 0.72 * $tall || $s->patch->edge[$k] < 0.3
                    ? 0.0
                    : self::ink($u + $half, $v + $tall, $pitch, $words, $readable);
        }
        $s->patch->paint($ink, $how);
    }

    /** @param  array<int, float>  $words */
    private static function ink(float $u, float $v, float $pitch, array $words, bool $readable): float
    {
        $line = (int) ($v / $pitch);
        $in = ($v / $pitch - $line) / 0.66;
        $letter = (int) ($u / 0.27);
        $at = $u / 0.27 - $letter;
        $word = $words[($line * 37 + $letter * 7) % 400];
        if ($in > 1.0 || $word > 0.84) {
            return 0.0;
        }
        if (! $readable) {
            return $in > 0.2 && $in < 0.45 + 0.2 * $word ? 0.85 : 0.0;
        }
        $bars = (int) ($word * 997);
        $isUpright = $at < 0.28 || (($bars & 1) === 1 && $at > 0.5 && $at < 0.76);
        $isLevel =
            (($bars & 2) !== 0 && $in < 0.22) ||
            (($bars & 4) !== 0 && abs($in - 0.5) < 0.11) ||
            (($bars & 8) !== 0 && $in > 0.8);

        return $at < 0.76 && ($isUpright || $isLevel) ? 0.9 : 0.0;
    }

    /** A band of two strokes again and again; the large one has shades and a light of its own. */
    public static function freehand(Stroke $s, bool $large): void
    {
        [$x, , $half] = self::middle($s);
        $bottom = $s->patch->y === [] ? 0.0 : max($s->patch->y);
        $size = $large ? 1.7 : 1.0;
        $main = $dark = $light = [];
        foreach ($s->patch->x as $k => $px) {
            $v = ($bottom - $s->patch->y[$k] - 0.75) / $size;
            $u = ($px - $x + $half) / (1.35 * $size);
            $t = $u - floor($u);
            $away = abs($v - 0.5 - 0.36 * sin($t * 2 * M_PI)) * $size;
            $leaf = hypot(($t - 0.25) * 1.35, $v - 0.32) * $size;
            $in = $v > -0.2 && $v < 1.25 && $s->patch->edge[$k] > 0.15;
            $main[] = $in && ($away < 0.11 * $size || $leaf < 0.2 * $size) ? 0.95 : 0.0;
            $dark[] = $in && $large && $away >= 0.11 * $size && $away < 0.2 * $size ? 0.7 : 0.0;
            $light[] = $in && $large && ($away < 0.045 * $size || $leaf < 0.08 * $size) ? 0.85 : 0.0;
        }
        $s->patch->paint($s->colour, $main);
        $s->patch->paint($s->base->times(0.35), $dark);
        $s->patch->paint($s->colour->towards(new Colour(1.0, 0.97, 0.9), 0.6), $light);
    }
}
