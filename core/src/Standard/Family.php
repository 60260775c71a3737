<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Technique families, in the order of the bench. */
enum Family: string
{
    case Prepare = 'prepare';
    case Undercoat = 'undercoat';
    case Spray = 'spray';
    case Base = 'base';
    case Shade = 'shade';
    case Highlight = 'highlight';
    case Blend = 'blend';
    case Line = 'line';
    case Detail = 'detail';
    case Mark = 'mark';
    case Wear = 'wear';
    case Protect = 'protect';
    case Ground = 'ground';
    case Check = 'check';

    /** Whether it is painting that makes a piece somebody’s own: whoever did it does not check or sign it alone. */
    public function isOwnWork(): bool
    {
        return match ($this) {
            self::Spray, self::Base, self::Shade, self::Highlight, self::Blend, self::Line, self::Detail,
            self::Mark, self::Wear => true,
            self::Prepare, self::Undercoat, self::Protect, self::Ground, self::Check => false,
        };
    }

    /** Whether it lays colour that covers. */
    public function covers(): bool
    {
        return match ($this) {
            self::Spray, self::Base => true,
            self::Prepare, self::Undercoat, self::Shade, self::Highlight, self::Blend, self::Line, self::Detail,
            self::Mark, self::Wear, self::Protect, self::Ground, self::Check => false,
        };
    }

    /** Whether the pace asks for a grade of it. */
    public function isGraded(): bool
    {
        return match ($this) {
            self::Spray, self::Base, self::Shade, self::Highlight, self::Blend, self::Line, self::Detail => true,
            self::Prepare, self::Undercoat, self::Mark, self::Wear, self::Protect, self::Ground,
            self::Check => false,
        };
    }

    /** Whether it is done again over whatever was added to a finished model. */
    public function isDoneAgain(): bool
    {
        return match ($this) {
            self::Protect, self::Check => true,
            self::Prepare, self::Undercoat, self::Spray, self::Base, self::Shade, self::Highlight, self::Blend,
            self::Line, self::Detail, self::Mark, self::Wear, self::Ground => false,
        };
    }

    /** Whether it lies under the colours: it stays when they are changed. */
    public function isUnderColour(): bool
    {
        return match ($this) {
            self::Prepare, self::Undercoat => true,
            self::Spray, self::Base, self::Shade, self::Highlight, self::Blend, self::Line, self::Detail,
            self::Mark, self::Wear, self::Protect, self::Ground, self::Check => false,
        };
    }
}
