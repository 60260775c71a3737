<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\AccountRefused;
use App\Models\Studio;
use RuntimeException;

/**
 * How hard a password is to guess, by the cheapest way to put it together: words that are guessed first by their rank,
 * words of the studio and the person, rows of the keyboard, sequences, repetitions, years, and single characters. After
 * the idea of zxcvbn (Wheeler, USENIX Security 2016), whose words it reads.
 */
final class Guessing
{
    /** Doublings of the number of guesses that a password is to stand: 10 000 million. */
    public const LEAST_BITS = 33.2;

    private const CHARACTER = 3.33;

    /** Begin, direction and length of a sequence, a row of the keyboard or a year. */
    private const PATTERN = 6.0;

    /** Where one part ends and the next begins. */
    private const SEAM = 1.0;

    private const ROWS = ['1234567890', 'qwertyuiop', 'qwertzuiop', 'asdfghjkl', 'zxcvbnm', 'yxcvbnm'];

    private const DISGUISES = [
        '4' => 'a', '@' => 'a', '3' => 'e', '1' => 'i', '!' => 'i', '0' => 'o', '5' => 's', '$' => 's', '7' => 't',
    ];

    private const LONGEST = 64;

    /** @var array<string, int>|null ranks by word */
    private static ?array $ranks = null;

    /**
     * @param  list<string>  $own  words that others would try first: of the person, beside those of the studio
     *
     * @throws AccountRefused when it is guessed too soon
     */
    public static function mustHold(string $password, array $own): void
    {
        if (self::bits($password, [...$own, Studio::row()->name, 'ordotype']) < self::LEAST_BITS) {
            throw AccountRefused::passwordGuessed();
        }
    }

    /**
     * @param  list<string>  $own
     * @return float doublings of the number of guesses
     */
    public static function bits(string $password, array $own): float
    {
        $plain = mb_strtolower(mb_substr($password, 0, self::LONGEST));
        if (preg_match('/^(.{1,12}?)\1+$/us', $plain, $again) === 1 && mb_strlen($again[1]) < mb_strlen($plain)) {
            return self::bits($again[1], $own) + log(mb_strlen($plain) / mb_strlen($again[1]), 2);
        }
        $ranks = self::ranks();
        foreach (preg_split('/[^\pL\pN]+/u', mb_strtolower(implode(' ', $own))) ?: [] as $word) {
            if (mb_strlen($word) >= 3) {
                $ranks[$word] = 1;
            }
        }
        $letters = mb_str_split($plain);
        $least = [0.0];
        for ($end = 1; $end <= count($letters); $end++) {
            $least[$end] = $least[$end - 1] + self::CHARACTER;
            for ($start = $end - 3; $start >= 0; $start--) {
                $part = implode('', array_slice($letters, $start, $end - $start));
                $cost = self::cost($part, $ranks);
                if ($cost !== null) {
                    $least[$end] = min($least[$end], $least[$start] + $cost + self::SEAM);
                }
            }
        }

        // Capitals inside a word are few and in few places.
        return $least[count($letters)] + ($plain === $password ? 0.0 : 1.0);
    }

    /** @param  array<string, int>  $ranks */
    private static function cost(string $part, array $ranks): ?float
    {
        $undisguised = strtr($part, self::DISGUISES);
        $rank = $ranks[$part] ?? null;
        $hidden = $undisguised === $part ? null : $ranks[$undisguised] ?? null;
        $word = match (true) {
            $rank !== null => log($rank + 1, 2),
            $hidden !== null => log($hidden + 1, 2) + 1,
            default => null,
        };
        $pattern = self::isPattern($part) ? self::PATTERN : null;

        return $word === null || $pattern === null ? $word ?? $pattern : min($word, $pattern);
    }

    private static function isPattern(string $part): bool
    {
        if (preg_match('/^(.)\1+$|^(19|20)\d\d$/u', $part) === 1) {
            return true;
        }
        foreach (self::ROWS as $row) {
            if (str_contains($row, $part) || str_contains(strrev($row), $part)) {
                return true;
            }
        }
        $steps = [];
        for ($i = 1; $i < strlen($part); $i++) {
            $steps[ord($part[$i]) - ord($part[$i - 1])] = true;
        }

        return count($steps) === 1 && (isset($steps[1]) || isset($steps[-1]));
    }

    /** @return array<string, int> */
    private static function ranks(): array
    {
        if (self::$ranks === null) {
            $file = resource_path('guessed-first.txt');
            $words = is_readable($file) ? file($file, FILE_IGNORE_NEW_LINES) : false;
            self::$ranks = $words === false
                ? throw new RuntimeException("$file is missing: build the interface")
                : array_flip($words);
        }

        return self::$ranks;
    }
}
