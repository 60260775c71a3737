<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** How big a model is. */
enum Size: string
{
    case Small = 'small';
    case Infantry = 'infantry';
    case Large = 'large';
    case Mounted = 'mounted';
    case Vehicle = 'vehicle';
    case Monster = 'monster';

    /** How much longer than at an infantry figure one looks at it at the end (common practice, no source). */
    public function lookFactor(): float
    {
        return match ($this) {
            self::Small => 0.6,
            self::Infantry => 1.0,
            self::Large => 1.3,
            self::Mounted => 1.5,
            self::Vehicle, self::Monster => 2.0,
        };
    }

    /** Share of the time that its surface alone would take, of wide coats (common practice, no source). */
    public function timeFactor(): float
    {
        return match ($this) {
            self::Small, self::Infantry => 1.0,
            self::Large, self::Mounted => 0.8,
            self::Vehicle, self::Monster => 0.6,
        };
    }
}
