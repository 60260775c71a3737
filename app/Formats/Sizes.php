<?php

declare(strict_types=1);

namespace App\Formats;

use Ordotype\Core\Foundation\FormatException;
use stdClass;

/**
 * How large a document may be, judged before any work is done on it: well above what a studio has, well below what
 * would keep others waiting.
 */
final class Sizes
{
    /** Values in the whole document. */
    private const VALUES = 400_000;

    /** Entries of the lists, by their path; `*` stands for every entry of the list before it. */
    private const ENTRIES = [
        '/tiers' => 40,
        '/tiers/*/clauses' => 3_000,
        '/techniques' => 800,
        '/prices' => 3_000,
        '/areas' => 200,
        '/parts' => 60,
        '/areas/*/touches' => 200,
        '/features' => 400,
        '/units' => 100,
        '/slots' => 300,
    ];

    /** Models of one order. */
    private const MODELS = 3_000;

    /** Paints of one file. */
    public const PAINTS = 5_000;

    /** @throws FormatException naming what is too large, and what may be */
    public static function judge(mixed $document): void
    {
        $left = self::VALUES;
        if (! self::fits($document, $left)) {
            throw FormatException::at('', 'holds more than '.number_format(self::VALUES, 0, '', ' ').' values');
        }
        foreach (self::ENTRIES as $path => $most) {
            self::entries($document, explode('/', substr($path, 1)), '', $most);
        }
        $models = 0;
        foreach ($document instanceof stdClass && is_array($document->units ?? null) ? $document->units : [] as $unit) {
            $models += $unit instanceof stdClass && is_int($unit->count ?? null) ? max(0, $unit->count) : 0;
        }
        if ($models > self::MODELS) {
            throw FormatException::at('/units', "hold $models models together; one order may have ".self::MODELS);
        }
    }

    /** @param  list<string>  $path */
    private static function entries(mixed $at, array $path, string $place, int $most): void
    {
        $name = array_shift($path);
        if ($name === null || ! $at instanceof stdClass) {
            return;
        }
        $list = $at->{$name} ?? null;
        if (! is_array($list)) {
            return;
        }
        if ($path === [] && count($list) > $most) {
            throw FormatException::at("$place/$name", 'has '.count($list)." entries; it may have $most");
        }
        if (($path[0] ?? null) === '*') {
            foreach ($list as $i => $entry) {
                self::entries($entry, array_slice($path, 1), "$place/$name/$i", $most);
            }
        }
    }

    private static function fits(mixed $value, int &$left): bool
    {
        if (--$left < 0) {
            return false;
        }
        foreach ($value instanceof stdClass || is_array($value) ? (array) $value : [] as $inner) {
            if (! self::fits($inner, $left)) {
                return false;
            }
        }

        return true;
    }
}
