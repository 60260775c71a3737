<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Colour\Srgb;
use stdClass;

/** A paint by its name, `#rrggbb`, or a mix `{"parts": [["Quay Brass", 3], ["Tarpitch", 5]], "medium": 2}`. */
final class PotFormat
{
    private const MOST = 99;

    public static function read(Node $node): Pot
    {
        if (! ($node->value instanceof stdClass)) {
            return Pot::of(self::paint($node));
        }
        $node->keys(['parts'], ['medium']);
        $parts = [];
        foreach ($node->list('parts') as $part) {
            $pair = $part->items();
            if (count($pair) !== 2) {
                $part->problem('must be a paint and how many parts of it');

                continue;
            }
            $paint = self::paint($pair[0]);
            if (isset($parts[$paint])) {
                $part->problem("names \"$paint\" a second time");
            }
            $parts[$paint] = self::number($pair[1], 1);
        }
        if ($parts === []) {
            $node->get('parts')->problem('must name at least one paint');
        }

        $medium = $node->has('medium') ? max(0, $node->int('medium', 0, self::MOST)) : 0;

        return new Pot($parts === [] ? ['?' => 1] : $parts, $medium);
    }

    public static function write(Pot $pot): string|stdClass
    {
        return $pot->plain() ??
            (object) ([
                'parts' => array_map(
                    fn (int|string $paint, int $parts) => [(string) $paint, $parts],
                    array_keys($pot->parts),
                    array_values($pot->parts),
                ),
            ] + ($pot->medium === 0 ? [] : ['medium' => $pot->medium]));
    }

    private static function paint(Node $node): string
    {
        $paint = $node->asString();
        if (is_string($node->value) && (trim($paint) === '' || ($paint[0] === '#' && ! Srgb::isHex($paint)))) {
            $node->problem("must be the name of a paint or a colour of the form #rrggbb, not \"$paint\"");
        }

        return $paint;
    }

    private static function number(Node $node, int $least): int
    {
        $number = $node->asNumber($least, self::MOST);
        if ($number != (int) $number) {
            $node->problem('must be a whole number');
        }

        return max($least, (int) $number);
    }
}
