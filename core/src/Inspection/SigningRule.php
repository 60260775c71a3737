<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** By which rule somebody may sign a piece, or may not. */
enum SigningRule: string
{
    case NoRight = 'no_right';
    case NotOwnWork = 'not_own_work';
    case SomebodyElseMay = 'somebody_else_may';
    case Alone = 'alone';
    case OthersAnswered = 'others_answered';
    case OthersMustAnswer = 'others_must_answer';

    public function allows(): bool
    {
        return match ($this) {
            self::NotOwnWork, self::Alone, self::OthersAnswered => true,
            self::NoRight, self::SomebodyElseMay, self::OthersMustAnswer => false,
        };
    }
}
