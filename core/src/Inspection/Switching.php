<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/**
 * How strictly a painter's next lot is looked at (MIL-STD-105E): tightened after two refused of five in a row, normal
 * again after five accepted in a row.
 */
final class Switching
{
    private const WINDOW = 5;

    private const REFUSED = 2;

    /** @param  list<bool>  $accepted  of the painter's lots, the oldest first */
    public static function isTightened(array $accepted): bool
    {
        $isTightened = false;
        $since = [];
        foreach ($accepted as $was) {
            $since[] = $was;
            $last = array_slice($since, -self::WINDOW);
            $refused = count(array_filter($last, fn (bool $a) => ! $a));
            $switches = $isTightened
                ? count($last) === self::WINDOW && $refused === 0
                : $refused >= self::REFUSED;
            if ($switches) {
                $isTightened = ! $isTightened;
                $since = [];
            }
        }

        return $isTightened;
    }
}
