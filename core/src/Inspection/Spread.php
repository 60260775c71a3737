<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** How much of an area a fault or its repair takes (shares and time factors: common practice, no source). */
enum Spread: string
{
    case Spot = 'spot';
    case Patch = 'patch';
    case Whole = 'whole';

    /** Share of the area that stands for it where no millimetres are given. */
    public function areaShare(): float
    {
        return match ($this) {
            self::Spot => 0.1,
            self::Patch => 0.25,
            self::Whole => 1.0,
        };
    }

    public function repairFactor(): float
    {
        return match ($this) {
            self::Spot => 0.15,
            self::Patch => 0.25,
            self::Whole => 1.0,
        };
    }
}
