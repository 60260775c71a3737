<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

/** How work stands to what is asked. */
enum Standing: string
{
    case Met = 'met';
    case Short = 'short';
    case Over = 'over';
    case Conflict = 'conflict';

    /** Whether something that is asked is not there. */
    public function isLacking(): bool
    {
        return match ($this) {
            self::Short, self::Conflict => true,
            self::Met, self::Over => false,
        };
    }

    /** Whether there is not as much of it as is asked. */
    public function isOff(): bool
    {
        return match ($this) {
            self::Short, self::Over => true,
            self::Met, self::Conflict => false,
        };
    }
}
