<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Colour\AreaColours;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Problem\FormatException;
use Ordotype\Core\Problem\Problems;
use stdClass;

/** Reads and writes `ordotype/scheme@1`. */
final class SchemeFormat
{
    public const WORD = 'ordotype/scheme@1';

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document): Scheme
    {
        $problems = new Problems();
        $root = Node::root($document, $problems)
            ->format(self::WORD)
            ->keys(['format', 'name', 'slots', 'areas']);
        $scheme = new Scheme(
            $root->string('name'),
            array_map(self::colours(...), $root->map('slots')),
            array_map(self::colours(...), $root->map('areas')),
        );
        $problems->refuse();

        return $scheme;
    }

    public static function write(Scheme $scheme): stdClass
    {
        return (object) [
            'format' => self::WORD,
            'name' => $scheme->name,
            'slots' => (object) array_map(self::writeColours(...), $scheme->slots),
            'areas' => (object) array_map(self::writeColours(...), $scheme->areas),
        ];
    }

    private static function colours(Node $node): AreaColours
    {
        $node->keys(['base', 'shades', 'lights'], ['tint', 'line', 'patch']);

        return new AreaColours(
            self::paint($node->get('base')),
            array_map(self::paint(...), $node->list('shades')),
            array_map(self::paint(...), $node->list('lights')),
            $node->has('tint') ? self::paint($node->get('tint')) : null,
            $node->has('line') ? self::paint($node->get('line')) : null,
            $node->has('patch') ? self::paint($node->get('patch')) : null,
        );
    }

    private static function paint(Node $node): string
    {
        $paint = $node->asString();
        if (is_string($node->value) && (trim($paint) === '' || ($paint[0] === '#' && ! Srgb::isHex($paint)))) {
            $node->problem("must be the name of a paint or a colour of the form #rrggbb, not \"$paint\"");
        }

        return $paint;
    }

    private static function writeColours(AreaColours $colours): stdClass
    {
        return (object) (['base' => $colours->base, 'shades' => $colours->shades, 'lights' => $colours->lights] +
            array_filter(
                ['tint' => $colours->tint, 'line' => $colours->line, 'patch' => $colours->patch],
                fn (?string $v) => $v !== null,
            ));
    }
}
