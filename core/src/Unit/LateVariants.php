<?php

declare(strict_types=1);

namespace Ordotype\Core\Unit;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Technique;

/**
 * What a finished piece can still be given so that it is not a clone of the others: what goes over paint that is there
 * and changes its look, not its standing against the tier. (Common practice, no source.)
 */
final class LateVariants
{
    private const OVER_PAINT = [
        Effect::Tint,
        Effect::Tone,
        Effect::Freehand,
        Effect::Wear,
        Effect::WearDrawn,
        Effect::Grime,
        Effect::GroundPlants,
    ];

    /**
     * @param  list<Technique>  $catalogue
     * @return list<Technique> those that an area can be given late
     */
    public static function on(Area $area, array $catalogue): array
    {
        return array_values(array_filter($catalogue, fn (Technique $t) => self::fits($t, $area)));
    }

    private static function fits(Technique $technique, Area $area): bool
    {
        $over = array_map(fn (Effect $e) => $e->value, self::OVER_PAINT);

        return array_diff(array_keys($technique->effects), $over) === [] &&
            $technique->permitsMaterial($area->material) &&
            $technique->suit($area->relief) > 0;
    }
}
