<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Technique;

/**
 * What a finished piece can still be given so that it is not a clone of the others: what goes over paint that is there
 * and changes its look, not its standing against the tier. (Common practice, no source.)
 */
final class LateVariants
{
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
        $under = array_filter(array_keys($technique->effects), fn (string $e) => ! Effect::from($e)->goesOverPaint());

        return $under === [] &&
            $technique->permitsMaterial($area->material) &&
            $technique->suit($area->relief) > 0;
    }
}
