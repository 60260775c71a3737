<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** The side of the model an area is on. */
enum Facing: string
{
    case Front = 'front';
    case Back = 'back';
    case Both = 'both';
    case Under = 'under';

    /** Whether nobody looks at it first. */
    public function isTurnedAway(): bool
    {
        return match ($this) {
            self::Back, self::Under => true,
            self::Front, self::Both => false,
        };
    }
}
