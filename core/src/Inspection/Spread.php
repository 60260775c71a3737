<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** How much of an area a fault or its repair takes (time factors: common practice, no source). */
enum Spread: string
{
    case Spot = 'spot';
    case Patch = 'patch';
    case Whole = 'whole';

    public function repairFactor(): float
    {
        return match ($this) {
            self::Spot => 0.15,
            self::Patch => 0.25,
            self::Whole => 1.0,
        };
    }
}
