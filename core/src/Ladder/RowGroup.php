<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/** Where on the ladder a row stands: by the bench, then what is merely allowed, then the finished work. */
enum RowGroup: string
{
    case Preparation = 'Preparation';
    case Colour = 'Colour';
    case Shade = 'Shade';
    case Light = 'Light';
    case Lines = 'Lines';
    case Detail = 'Detail';
    case Marks = 'Marks';
    case Wear = 'Wear';
    case Protection = 'Protection';
    case Base = 'Base';
    case Allowed = 'Allowed';
    case Finish = 'Finish';
    case Check = 'Check';
    case Limits = 'Limits';

    /** Whether it says how work is done rather than what is seen of it. */
    public function isProcess(): bool
    {
        return match ($this) {
            self::Preparation, self::Allowed, self::Check, self::Limits => true,
            self::Colour, self::Shade, self::Light, self::Lines, self::Detail, self::Marks, self::Wear,
            self::Protection, self::Base, self::Finish => false,
        };
    }
}
