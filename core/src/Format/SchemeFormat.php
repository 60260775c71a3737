<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Colour\AreaColours;
use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
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

    private static function paint(Node $node): Pot
    {
        return PotFormat::read($node);
    }

    /** The colours of one slot as a scheme has them. */
    public static function writeColours(AreaColours $colours): stdClass
    {
        $more = ['tint' => $colours->tint, 'line' => $colours->line, 'patch' => $colours->patch];

        return (object) ([
            'base' => PotFormat::write($colours->base),
            'shades' => array_map(PotFormat::write(...), $colours->shades),
            'lights' => array_map(PotFormat::write(...), $colours->lights),
        ] + array_map(PotFormat::write(...), array_filter($more, fn (?Pot $p) => $p !== null)));
    }
}
