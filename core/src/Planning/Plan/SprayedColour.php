<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Sculpt\Area;

/** One colour that is sprayed: where, what has to be masked before it, and the minutes that takes. */
final readonly class SprayedColour
{
    /**
     * @param  non-empty-list<Area>  $areas
     * @param  list<Area>  $masked
     * @param  float  $dearerBy  minutes that brushing it would save the unit, with set-up and masking; 0: none
     */
    public function __construct(
        public array $areas,
        public array $masked,
        public float $maskingMinutes,
        public float $dearerBy = 0.0,
    ) {
    }
}
