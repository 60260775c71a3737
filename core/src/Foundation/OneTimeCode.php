<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

use InvalidArgumentException;

/** Codes that change every half minute, made of a shared secret and the time: RFC 6238 over RFC 4226, with SHA-1. */
final class OneTimeCode
{
    /** Seconds that one holds. */
    public const STEP = 30;

    /** RFC 4648, 6. */
    private const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /**
     * @param  int  $step  since 1970, of `STEP` seconds
     * @param  int  $digits  1 to 9
     */
    public static function at(string $secret, int $step, int $digits = 6): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), $secret, true);
        $at = ord($hash[19]) & 15;
        $number = (int) hexdec(bin2hex(substr($hash, $at, 4)));

        return str_pad((string) (($number & 0x7FFFFFFF) % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    /**
     * The step that a code is of: that of the moment, or the one before or after, since clocks differ.
     *
     * @param  int  $after  a step that was used: only later ones hold
     */
    public static function stepOf(string $secret, string $code, int $second, int $after = 0): ?int
    {
        $now = intdiv($second, self::STEP);
        foreach ([$now, $now - 1, $now + 1] as $step) {
            if ($step > $after && hash_equals(self::at($secret, $step), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** As people type it, in RFC 4648's base 32 without padding. */
    public static function spelled(string $secret): string
    {
        $bits = '';
        foreach ($secret === '' ? [] : str_split($secret) as $byte) {
            $bits .= sprintf('%08b', ord($byte));
        }
        $letters = '';
        foreach ($bits === '' ? [] : str_split($bits, 5) as $five) {
            $letters .= self::LETTERS[(int) bindec(str_pad($five, 5, '0'))];
        }

        return $letters;
    }

    /** @throws InvalidArgumentException when it holds another letter */
    public static function read(string $spelled): string
    {
        $bits = '';
        foreach ($spelled === '' ? [] : str_split($spelled) as $letter) {
            $at = strpos(self::LETTERS, $letter);
            if ($at === false) {
                throw new InvalidArgumentException("$letter is none of base 32.");
            }
            $bits .= sprintf('%05b', $at);
        }
        $secret = '';
        foreach (str_split(substr($bits, 0, intdiv(strlen($bits), 8) * 8), 8) as $byte) {
            $secret .= $byte === '' ? '' : chr((int) bindec($byte));
        }

        return $secret;
    }
}
