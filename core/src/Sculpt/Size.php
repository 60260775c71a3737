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
