<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Who an amendment comes from; they are applied in this order. */
enum AmendmentLevel: string
{
    case Studio = 'studio';
    case Order = 'order';
    case Unit = 'unit';
    case Piece = 'piece';

    public function rank(): int
    {
        return match ($this) {
            self::Studio => 0,
            self::Order => 1,
            self::Unit => 2,
            self::Piece => 3,
        };
    }
}
