<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Photo\Unmeasured;

/** What a photograph does not say, in words. */
final class PhotoWords
{
    public static function why(?Unmeasured $why): string
    {
        return match ($why) {
            null => '',
            Unmeasured::TooSmall => 'too small',
            Unmeasured::Clipped => 'overexposed',
            Unmeasured::Dark => 'too dark',
            Unmeasured::Hidden => 'hidden',
            Unmeasured::Shiny => 'shines',
            Unmeasured::Marked => 'marks lie on it',
            Unmeasured::TooFewLines => 'no line',
            Unmeasured::Uneven => 'too uneven',
            Unmeasured::Alike => 'cannot be told apart',
            Unmeasured::NoPatch => 'no grey card',
            Unmeasured::Moved => 'moved',
            Unmeasured::Blurred => 'blurred',
        };
    }

    public static function noCard(): string
    {
        return self::why(Unmeasured::NoPatch);
    }

    public static function withoutCard(): string
    {
        return 'No grey card is given: colours hold only against one another, and bare undercoat is not looked for.';
    }
}
