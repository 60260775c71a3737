<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Colour\Hiding;
use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;

/** Reads a shelf of paints from CSV with the header `name,kind,hex,hiding,ml`. */
final class ShelfFormat
{
    private const HEADER = ['name', 'kind', 'hex', 'hiding', 'ml'];

    /** @throws FormatException with the line as path */
    public static function readCsv(string $text): Shelf
    {
        $problems = new Problems();
        $paints = [];
        foreach (preg_split('/\r\n|\r|\n/', trim($text)) ?: [] as $i => $line) {
            $path = '/line '.($i + 1);
            $cells = array_map(fn (?string $cell) => trim((string) $cell), str_getcsv($line));
            if ($i === 0) {
                if ($cells !== self::HEADER) {
                    $problems->add($path, 'the header must be '.implode(',', self::HEADER));
                    break;
                }

                continue;
            }
            if (count($cells) !== count(self::HEADER)) {
                $problems->add($path, 'must have '.count(self::HEADER).' cells, not '.count($cells));

                continue;
            }
            [$name, $kind, $hex, $hiding, $ml] = $cells;
            if ($name === '' || isset($paints[$name])) {
                $problems->add($path, $name === '' ? 'the paint has no name' : "\"$name\" stands twice");
            }
            if (! Srgb::isHex($hex) || Hiding::tryFrom($hiding) === null || ! is_numeric($ml) || (float) $ml < 0) {
                $problems->add(
                    $path,
                    'must hold a colour #rrggbb, a hiding power high, medium or low, and millilitres',
                );

                continue;
            }
            $paints[$name] = new Paint($name, $kind, Srgb::fromHex($hex), Hiding::from($hiding), (float) $ml);
        }
        $problems->refuse();

        return new Shelf(array_values($paints));
    }
}
