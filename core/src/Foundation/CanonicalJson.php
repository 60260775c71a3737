<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

use InvalidArgumentException;
use stdClass;

/**
 * JSON of which there is only one spelling, after RFC 8785: members sorted by the UTF-16 code units of their names, no
 * white space, strings escaped no more than they must be. Numbers are whole; decimals are written as strings.
 */
final class CanonicalJson
{
    /**
     * @throws InvalidArgumentException when something is not text, a whole number, true, false, null, a list or an
     * object
     */
    public static function encode(mixed $value): string
    {
        return match (true) {
            $value === null => 'null',
            is_bool($value) => $value ? 'true' : 'false',
            is_int($value) && abs($value) <= 9_007_199_254_740_991 => (string) $value,
            is_string($value) => self::text($value),
            $value instanceof stdClass => self::members(get_object_vars($value)),
            is_array($value) && array_is_list($value) => '['.
                implode(',', array_map(self::encode(...), $value)).
                ']',
            is_array($value) => self::members($value),
            default => throw new InvalidArgumentException(
                'A record holds text, whole numbers, true, false, null, lists and objects; decimals are text. Found '.
                    get_debug_type($value).
                    '.',
            ),
        };
    }

    /** @param  array<array-key, mixed>  $members */
    private static function members(array $members): string
    {
        $names = array_map(strval(...), array_keys($members));
        usort(
            $names,
            fn (string $a, string $b) => strcmp(
                mb_convert_encoding($a, 'UTF-16BE', 'UTF-8'),
                mb_convert_encoding($b, 'UTF-16BE', 'UTF-8'),
            ),
        );

        return '{'.
            implode(
                ',',
                array_map(fn (string $name) => self::text($name).':'.self::encode($members[$name]), $names),
            ).
            '}';
    }

    private static function text(string $text): string
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new InvalidArgumentException('A record holds UTF-8 text only.');
        }

        return json_encode(
            $text,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_LINE_TERMINATORS,
        );
    }
}
