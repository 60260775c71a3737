<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Sculpt\Rank;

/** The lens is focused on the model: the front and the back of its base lie a little out of focus. */
final class Focus
{
    /** Of the base's depth, from its middle, that is sharp. */
    private const SHARP = 0.45;

    /** Mm over which light spreads where it is least in focus. */
    private const SPREADS = 0.16;

    private const MOST = 0.85;

    /**
     * @param  array<int, float>  $red  by pixel of the form's box, written to
     * @param  array<int, float>  $green
     * @param  array<int, float>  $blue
     */
    public static function soften(SculptForm $form, array &$red, array &$green, array &$blue): void
    {
        $lying = array_filter($form->rings, fn (Ring $r) => $r->area->rank === Rank::Ground);
        if ($lying === []) {
            return;
        }
        $top = min(array_map(fn (Ring $r) => $r->top, $lying)) - $form->top;
        $bottom = max(array_map(fn (Ring $r) => $r->top + $r->height, $lying)) - $form->top;
        $half = max(1.0, ($bottom - $top) / 2);
        $by = max(1, (int) round(self::SPREADS * $form->scale));
        $around = [$by, -$by, $by * $form->width, -$by * $form->width];
        $soft = [];
        foreach ($form->seen as $i => $ring) {
            if (! isset($lying[$ring])) {
                continue;
            }
            $away = abs(intdiv($i, $form->width) - $top - $half) / $half;
            $share = self::MOST * min(1.0, max(0.0, ($away - self::SHARP) / (1 - self::SHARP)));
            $n = 0;
            [$r, $g, $b] = [0.0, 0.0, 0.0];
            foreach ($share > 0.02 ? $around : [] as $step) {
                if (($form->seen[$i + $step] ?? -1) === $ring) {
                    $n++;
                    $r += $red[$i + $step];
                    $g += $green[$i + $step];
                    $b += $blue[$i + $step];
                }
            }
            if ($n > 0) {
                $own = 1 - $share * ($n / 4);
                $w = $share / 4;
                $soft[$i] = [$own * $red[$i] + $w * $r, $own * $green[$i] + $w * $g, $own * $blue[$i] + $w * $b];
            }
        }
        foreach ($soft as $i => [$r, $g, $b]) {
            [$red[$i], $green[$i], $blue[$i]] = [$r, $g, $b];
        }
    }
}
