<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** What a model is in its army. */
enum Role: string
{
    case Regular = 'regular';
    case Hero = 'hero';
    case Horde = 'horde';
    case Centrepiece = 'centrepiece';

    /** Whether it leads: it is painted as a hero is. */
    public function isHero(): bool
    {
        return match ($this) {
            self::Hero, self::Centrepiece => true,
            self::Regular, self::Horde => false,
        };
    }

    /** How much a figure of it is looked at: the higher the more. */
    public function rank(): int
    {
        return match ($this) {
            self::Horde => 0,
            self::Regular => 1,
            self::Hero => 2,
            self::Centrepiece => 3,
        };
    }
}
