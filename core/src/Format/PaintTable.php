<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Colour\Hiding;
use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Colour\PaintFault;
use Ordotype\Core\Colour\Srgb;

/**
 * Paints from any table: parted by commas, semicolons or tabs, with a decimal point or comma, with or without a
 * byte-order mark. Columns are known by their usual names, or said.
 */
final readonly class PaintTable
{
    private const SEPARATORS = [';', "\t", ','];

    /** Names that columns have, folded; the first is ours. */
    private const NAMES = [
        'name' => ['name', 'paint', 'paint name', 'colour', 'color', 'colour name', 'farbe', 'nom', 'naam', 'title'],
        'hex' => ['hex', 'rgb', '#', 'hex code', 'colour code', 'color code', 'code', 'html', 'value', 'farbcode'],
        'kind' => ['kind', 'type', 'sort', 'art', 'range', 'soort'],
        'hiding' => ['hiding', 'opacity', 'cover', 'covers', 'coverage', 'hiding power', 'deckkraft', 'dekking'],
        'ml' => ['ml', 'volume', 'size', 'contents', 'pot', 'inhalt', 'inhoud', 'millilitres'],
    ];

    private const LONGEST = 80;

    /** What a pot holds where the table does not say, ml (common practice, no source). */
    private const POT = 17.0;

    /**
     * @param  list<string>  $headers  of the table as they stand there
     * @param  array<string, string|null>  $columns  which header holds name, hex, kind, hiding and ml
     * @param  array<int, Paint>  $paints  by line
     * @param  array<int, PaintFault>  $faults  by line
     */
    private function __construct(
        public string $separator,
        public array $headers,
        public array $columns,
        public array $paints,
        public array $faults,
    ) {
    }

    /** @return list<string> what of a paint a column can hold */
    public static function fields(): array
    {
        return array_keys(self::NAMES);
    }

    /**
     * @param  array<string, string>  $said  by field, the header that holds it
     * @param  list<string>  $kinds  that a paint may be of; the first where the table says none of them
     */
    public static function read(string $text, array $kinds, array $said = []): self
    {
        $lines = preg_split('/\R/u', preg_replace('/^\xEF\xBB\xBF/', '', $text) ?? '') ?: [];
        $head = (string) array_shift($lines);
        $separator = self::separator($head);
        $headers = self::cells($head, $separator);
        $columns = [];
        foreach (self::NAMES as $field => $names) {
            $columns[$field] = isset($said[$field]) && in_array($said[$field], $headers, true)
                    ? $said[$field]
                    : self::known($headers, $names);
        }
        $paints = $faults = $seen = [];
        foreach ($lines as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = self::cells($line, $separator);
            $cell = function (string $field) use ($columns, $headers, $cells): string {
                $place = $columns[$field] === null ? false : array_search($columns[$field], $headers, true);

                return $place === false ? '' : $cells[$place] ?? '';
            };
            $one = self::paint($cell, $kinds, $seen);
            // The first line after the header is line 2.
            if ($one instanceof Paint) {
                $paints[$i + 2] = $one;
                $seen[mb_strtolower($one->name)] = true;
            } else {
                $faults[$i + 2] = $one;
            }
        }

        return new self($separator, $headers, $columns, $paints, $faults);
    }

    /**
     * @param  callable(string): string  $cell  by field
     * @param  list<string>  $kinds
     * @param  array<string, true>  $seen
     */
    private static function paint(callable $cell, array $kinds, array $seen): Paint|PaintFault
    {
        $name = $cell('name');
        $hex = self::hex($cell('hex'));
        $ml = $cell('ml') === '' ? self::POT : self::number($cell('ml'));
        $hiding = self::hiding($cell('hiding'));
        $kind = mb_strtolower($cell('kind'));

        return match (true) {
            // One that begins like a colour would be read as one in a scheme.
            $name === '' || str_starts_with($name, '#') || mb_strlen($name) > self::LONGEST => PaintFault::NoName,
            isset($seen[mb_strtolower($name)]) => PaintFault::Twice,
            $hex === null => PaintFault::NoColour,
            $ml === null => PaintFault::NoAmount,
            $hiding === null => PaintFault::NoHiding,
            default => new Paint(
                $name,
                in_array($kind, $kinds, true) ? $kind : $kinds[0],
                Srgb::fromHex($hex),
                $hiding,
                $ml,
            ),
        };
    }

    /** What parts the header into the most cells. */
    private static function separator(string $head): string
    {
        $best = ',';
        foreach (self::SEPARATORS as $separator) {
            if (count(self::cells($head, $separator)) > count(self::cells($head, $best))) {
                $best = $separator;
            }
        }

        return $best;
    }

    /** @return list<string> */
    private static function cells(string $line, string $separator): array
    {
        return array_map(fn (?string $cell) => trim((string) $cell), str_getcsv($line, $separator));
    }

    /**
     * @param  list<string>  $headers
     * @param  list<string>  $names
     */
    private static function known(array $headers, array $names): ?string
    {
        foreach ($names as $name) {
            foreach ($headers as $header) {
                if (mb_strtolower($header) === $name) {
                    return $header;
                }
            }
        }

        return null;
    }

    /** With or without its sign, of three or six digits; or red, green and blue from 0 to 255. */
    private static function hex(string $text): ?string
    {
        if (preg_match('/^(\d{1,3})[\s,\/]+(\d{1,3})[\s,\/]+(\d{1,3})$/', $text, $m) === 1) {
            return max((int) $m[1], (int) $m[2], (int) $m[3]) > 255
                ? null
                : sprintf('#%02x%02x%02x', (int) $m[1], (int) $m[2], (int) $m[3]);
        }
        $hex = '#'.ltrim($text, '#');
        if (preg_match('/^#[0-9a-f]{3}$/i', $hex) === 1) {
            $hex = '#'.$hex[1].$hex[1].$hex[2].$hex[2].$hex[3].$hex[3];
        }

        return Srgb::isHex(strtolower($hex)) ? strtolower($hex) : null;
    }

    /** “12,5 ml” is 12.5. */
    private static function number(string $text): ?float
    {
        return preg_match('/^(\d{1,5})(?:[.,](\d{1,3}))?\s*(?:ml)?$/i', $text, $m) === 1
            ? (float) ($m[1].'.'.($m[2] ?? '0'))
            : null;
    }

    private static function hiding(string $text): ?Hiding
    {
        foreach (Hiding::cases() as $hiding) {
            if (in_array(mb_strtolower($text), self::covers($hiding), true)) {
                return $hiding;
            }
        }

        return null;
    }

    /** @return list<string> what tables say of how well a paint covers */
    private static function covers(Hiding $hiding): array
    {
        return match ($hiding) {
            Hiding::High => ['high', 'good', 'opaque', 'h', '3', 'hoch', 'hoog'],
            Hiding::Medium => ['medium', 'middle', 'normal', 'm', '2', 'mittel', 'semi-opaque', 'gemiddeld', ''],
            Hiding::Low => ['low', 'poor', 'transparent', 'translucent', 'l', '1', 'niedrig', 'laag'],
        };
    }
}
