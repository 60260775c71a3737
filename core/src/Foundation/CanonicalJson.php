<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

use InvalidArgumentException;
use JsonException;
use stdClass;

/**
 * JSON of which there is only one spelling, after RFC 8785: members sorted by the UTF-16 code units of their names, no
 * white space, strings escaped no more than they must be, whole numbers without a point. Other decimals stand as PHP
 * writes them, the shortest that reads back the same (below a millionth the standard spells its exponent otherwise).
 */
final class CanonicalJson
{
    /** @throws InvalidArgumentException when something is not UTF-8 text, a number, true, false, null, list, object */
    public static function encode(mixed $value): string
    {
        try {
            return json_encode(
                self::ordered($value, true),
                JSON_THROW_ON_ERROR |
                    JSON_UNESCAPED_UNICODE |
                    JSON_UNESCAPED_SLASHES |
                    JSON_UNESCAPED_LINE_TERMINATORS,
            );
        } catch (JsonException $e) {
            throw new InvalidArgumentException("This cannot be written as JSON: {$e->getMessage()}.", 0, $e);
        }
    }

    /**
     * A record: the same, and its numbers are whole, so that every reader of every language spells it alike.
     *
     * @throws InvalidArgumentException besides, when a number is not whole
     */
    public static function record(mixed $value): string
    {
        return self::encode(self::ordered($value, false));
    }

    private static function ordered(mixed $value, bool $decimals): mixed
    {
        return match (true) {
            $value === null, is_bool($value), is_string($value) => $value,
            is_int($value) && abs($value) <= 9_007_199_254_740_991 => $value,
            $decimals && is_float($value) => $value === floor($value) && abs($value) < 1e15 ? (int) $value : $value,
            $value instanceof stdClass => self::members(get_object_vars($value), $decimals),
            is_array($value) && array_is_list($value) => array_map(
                fn (mixed $one) => self::ordered($one, $decimals),
                $value,
            ),
            is_array($value) => self::members($value, $decimals),
            default => throw new InvalidArgumentException(
                'Here stand text, '.($decimals ? '' : 'whole ').'numbers, true, false, null, lists and objects'.
                    ($decimals ? '' : '; decimals are text').'. Found '.get_debug_type($value).'.',
            ),
        };
    }

    /** @param  array<array-key, mixed>  $members */
    private static function members(array $members, bool $decimals): stdClass
    {
        // By bytes as by code units, but for names beyond the basic plane beside some at its end.
        if (preg_match('/[^\x00-\x7f]/', implode('', array_keys($members))) === 0) {
            ksort($members, SORT_STRING);
        } else {
            $units = fn (int|string $name) => mb_convert_encoding((string) $name, 'UTF-16BE', 'UTF-8');
            uksort($members, fn (int|string $a, int|string $b) => strcmp($units($a), $units($b)));
        }

        return (object) array_map(fn (mixed $one) => self::ordered($one, $decimals), $members);
    }
}
