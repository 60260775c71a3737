<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** How much an area matters on the model. */
enum Rank: string
{
    case Main = 'main';
    case Secondary = 'secondary';
    case Detail = 'detail';
    case Ground = 'ground';

    /** Whether it is wide enough to show a form, and no base. */
    public function isForm(): bool
    {
        return match ($this) {
            self::Main, self::Secondary => true,
            self::Detail, self::Ground => false,
        };
    }
}
