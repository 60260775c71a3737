<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/**
 * The size in mm from which something is noticed at a distance: 2·D·tan(θ/2), the limb width seen under the visual
 * angle θ (the optotype convention of Snellen and ISO 8596, where θ is 1 arcminute at 20/20).
 */
final class NoticingSize
{
    public static function mm(float $distanceCm, float $arcmin): float
    {
        return 2 * $distanceCm * 10 * tan(deg2rad($arcmin / 60) / 2);
    }
}
