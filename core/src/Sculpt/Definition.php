<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** How sharply a model is cast. */
enum Definition: string
{
    case Soft = 'soft';
    case Normal = 'normal';
    case Crisp = 'crisp';

    /** Time factor for neat brushwork (techniques of mess 0) on such a casting (common practice, no source). */
    public function timeFactor(): float
    {
        return match ($this) {
            self::Soft => 1.25,
            self::Normal => 1.0,
            self::Crisp => 0.9,
        };
    }
}
