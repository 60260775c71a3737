<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;

/**
 * The size in mm that stands for a fault given as spot, patch or whole (house defaults). With s the shorter side of
 * the
 * box of the area's smallest ring: spot = s/8 held within 1 and 3 mm, but no more than s; patch = s/4, but no less
 * than
 * the spot; whole = s. Without outlines s = √(area mm² ÷ (2 × count)).
 */
final class FaultSize
{
    private const SPOT_MM = [1.0, 3.0];

    public static function mm(Area $area, Sculpt $sculpt, Spread $spread): float
    {
        $s = self::shorterSide($area, $sculpt) ?? sqrt(($sculpt->areaCm2($area) * 100) / (2 * max(1, $area->count)));
        $spot = min($s, max(self::SPOT_MM[0], min(self::SPOT_MM[1], $s / 8)));

        return match ($spread) {
            Spread::Spot => $spot,
            Spread::Patch => max($spot, $s / 4),
            Spread::Whole => $s,
        };
    }

    /** Of the box around the ring whose box is smallest; null where the area is not outlined. */
    private static function shorterSide(Area $area, Sculpt $sculpt): ?float
    {
        [$width, $height] = $sculpt->frameMm ?? [60.0, 80.0];
        $smallest = INF;
        $side = null;
        foreach ($area->outline as $rings) {
            foreach ($rings as $ring) {
                if (count($ring) < 3) {
                    continue;
                }
                $across = $width * (max(array_column($ring, 0)) - min(array_column($ring, 0)));
                $down = $height * (max(array_column($ring, 1)) - min(array_column($ring, 1)));
                if ($across * $down < $smallest) {
                    $smallest = $across * $down;
                    $side = min($across, $down);
                }
            }
        }

        return $side;
    }
}
