<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Sculpt\Area;

/** One colour that is sprayed: where, what has to be masked before it, and the minutes that takes. */
final readonly class SprayedColour
{
    /**
     * @param  non-empty-list<Area>  $areas
     * @param  list<Area>  $masked
     */
    public function __construct(public array $areas, public array $masked, public float $maskingMinutes)
    {
    }
}
