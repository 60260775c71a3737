<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;

/** Where neighbouring tiers of one sculpt differ most to the eye: the crops by which they are told apart. */
final class Crops
{
    /** By focus: where eyes go first tells most, ground tells next to nothing (an assumption). */
    private const WEIGHTS = [0.15, 1.0, 2.0, 4.0];

    /** Around what is shown, of its longer side. */
    private const MARGIN = 0.18;

    /** Two crops show no more of the same than this share of the smaller one. */
    private const SHARED = 0.4;

    /** The least of a crop's width in the frame: below that a picture only shows its pixels. */
    private const LEAST = 0.2;

    /**
     * @param  list<Plan>  $plans  of one sculpt, from the lowest tier up
     * @param  float  $aspect  width of a crop to its height
     * @return list<Crop> at most so many that show something of their own, the most telling first
     */
    public static function of(array $plans, View $view, int $most, float $aspect = 1.0): array
    {
        if ($plans === []) {
            return [];
        }
        $sculpt = $plans[0]->request->sculpt;
        $tells = self::telling($plans);
        arsort($tells);
        $crops = [];
        foreach (array_keys($tells) as $key) {
            $crop = self::around($sculpt->area((string) $key), $sculpt, $view, $aspect);
            $isApart = $crop !== null &&
                array_filter($crops, fn (Crop $c) => $c->shared($crop) > self::SHARED) === [];
            if ($isApart) {
                $crops[] = $crop;
            }
            if (count($crops) === $most) {
                break;
            }
        }

        return $crops;
    }

    /**
     * How much is done otherwise on each area from one tier to the next: minutes of what only one of them has, more
     * where eyes go first.
     *
     * @param  list<Plan>  $plans
     * @return array<string, float> by key of the area
     */
    private static function telling(array $plans): array
    {
        $tells = [];
        foreach ($plans[0]->areas as $i => $planned) {
            $area = $planned->demand->area;
            if ($area === null) {
                continue;
            }
            $otherwise = 0.0;
            foreach ($plans as $n => $plan) {
                $otherwise += $n === 0 ? 0.0 : self::otherwise($plans[$n - 1]->areas[$i], $plan->areas[$i]);
            }
            $tells[$area->key] = $otherwise * self::WEIGHTS[$area->focus];
        }

        return array_filter($tells, fn (float $t) => $t > 0);
    }

    private static function otherwise(PlannedArea $below, PlannedArea $above): float
    {
        [$was, $is] = [self::minutes($below), self::minutes($above)];
        $minutes = 0.0;
        foreach ($was + $is as $technique => $any) {
            $minutes += abs(($is[$technique] ?? 0.0) - ($was[$technique] ?? 0.0));
        }

        return $minutes;
    }

    /** @return array<string, float> by technique */
    private static function minutes(PlannedArea $planned): array
    {
        $minutes = [];
        foreach ($planned->choice->techniques ?? [] as $used) {
            $minutes[$used->technique->key] = $used->minutes();
        }

        return $minutes;
    }

    private static function around(Area $area, Sculpt $sculpt, View $view, float $aspect): ?Crop
    {
        $points = array_merge(...array_values($area->outline[$view->value] ?? []));
        if ($points === []) {
            return null;
        }
        [$wide, $high] = $sculpt->frameMm ?? [1.0, 1.0];
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        // In mm, so that the crop keeps its shape whatever the frame's is.
        $width = max((max($xs) - min($xs)) * $wide, (max($ys) - min($ys)) * $high * $aspect) * (1 + 2 * self::MARGIN);
        $width = min(max($width, self::LEAST * $wide), $wide, $high * $aspect);
        $height = $width / $aspect;
        $into = fn (float $middle, float $size): float => max(0.0, min(1 - $size, $middle - $size / 2));

        return new Crop(
            $area->name,
            $into((min($xs) + max($xs)) / 2, $width / $wide),
            $into((min($ys) + max($ys)) / 2, $height / $high),
            $width / $wide,
            $height / $high,
        );
    }
}
