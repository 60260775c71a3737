<?php

declare(strict_types=1);

namespace App\Queries;

/** Patterns of SQL's LIKE from what somebody typed. */
final class Like
{
    /** Holds for texts that have this in them, its own % and _ taken as they are. */
    public static function holding(string $text): string
    {
        return '%'.addcslashes($text, '%_\\').'%';
    }
}
