<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** What a line of a quote is for. */
enum QuoteLineKind: string
{
    case Unit = 'unit';
    case Extra = 'extra';
    /** What could move the price, and did. */
    case CameTrue = 'came_true';
    case Kit = 'kit';
    case Postage = 'postage';
    case Rush = 'rush';
    case Storage = 'storage';
    case Other = 'other';

    /** Whether it is painting: what a discount comes off, and what the studio's own tax is on. */
    public function isPainting(): bool
    {
        return match ($this) {
            self::Unit, self::Extra, self::CameTrue => true,
            self::Kit, self::Postage, self::Rush, self::Storage, self::Other => false,
        };
    }

    /** @return list<self> those that are typed beside the painting */
    public static function beside(): array
    {
        return array_values(array_filter(self::cases(), fn (self $k) => ! $k->isPainting()));
    }
}
