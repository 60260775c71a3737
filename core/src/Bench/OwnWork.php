<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

use Ordotype\Core\Standard\Family;

/** Which work on a piece makes it somebody's own: whoever painted on it does not check or sign it alone. */
final class OwnWork
{
    private const FAMILIES = [
        Family::Spray,
        Family::Base,
        Family::Shade,
        Family::Highlight,
        Family::Blend,
        Family::Line,
        Family::Detail,
        Family::Mark,
        Family::Wear,
    ];

    public static function is(Family $family): bool
    {
        return in_array($family, self::FAMILIES, true);
    }

    /** @return list<Family> from spray to wear */
    public static function families(): array
    {
        return self::FAMILIES;
    }
}
