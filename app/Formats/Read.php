<?php

declare(strict_types=1);

namespace App\Formats;

use DateTimeInterface;
use NumberFormatter;

/** Amounts and days as people read them, on paper and in letters: the way the interface writes them. */
final class Read
{
    /** @param  string  $amount  a decimal */
    public static function money(string $amount, string $currency): string
    {
        $format = new NumberFormatter('en_GB', NumberFormatter::CURRENCY);
        $read = $format->formatCurrency((float) $amount, $currency);

        return $read === false ? "$currency $amount" : $read;
    }

    public static function day(DateTimeInterface $day): string
    {
        return $day->format('j F Y');
    }
}
