<?php

declare(strict_types=1);

namespace App\Formats;

use stdClass;

/** Amounts of money as people write them ("6", "6.5", "6,50") brought to the two decimals of the open formats. */
final class Amounts
{
    private const FIELDS = ['price', 'low', 'high'];

    /** The thing with its amounts tidied; what is no amount stays for the format to refuse, with its place. */
    public static function in(?stdClass $thing): ?stdClass
    {
        if ($thing === null) {
            return null;
        }
        $tidied = clone $thing;
        foreach (self::FIELDS as $field) {
            if (isset($tidied->{$field})) {
                $tidied->{$field} = self::tidied($tidied->{$field});
            }
        }

        return $tidied;
    }

    public static function tidied(mixed $amount): mixed
    {
        $written = is_int($amount) || is_float($amount) ? (string) $amount : $amount;
        if (! is_string($written) || preg_match('/^\s*0*(\d{1,8})(?:[.,](\d{1,2}))?\s*$/', $written, $parts) !== 1) {
            return $amount;
        }

        return $parts[1].'.'.str_pad($parts[2] ?? '', 2, '0');
    }

    /** A number with a comma or a point, as one with a point. */
    public static function decimal(mixed $number): mixed
    {
        $written = is_int($number) || is_float($number) ? (string) $number : $number;

        return is_string($written) ? str_replace(',', '.', trim($written)) : $number;
    }
}
