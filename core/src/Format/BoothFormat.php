<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\Mark;
use Ordotype\Core\Picture\Booth\PlantedFault;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Extent;
use stdClass;

/** All that a drawing depends on, as JSON: two requests with the same text give the same picture. */
final class BoothFormat
{
    /** Raised whenever the booth draws differently, so that nothing old is shown for new. */
    public const VERSION = 3;

    public static function write(BoothRequest $request): stdClass
    {
        // What is plain says so; what is not is named as it was before there was such a thing.
        return (object) (($request->isPlain ? ['plain' => true] : []) + [
            'booth' => self::VERSION,
            'sculpt' => SculptFormat::write($request->sculpt),
            'view' => $request->view->value,
            'width' => $request->width,
            'seed' => $request->seed,
            'stops' => $request->stops,
            'cast' => $request->cast,
            'coats' => array_map(
                fn (Coat $c): stdClass => (object) [
                    'area' => $c->area,
                    'mark' => $c->mark->value,
                    'extent' => $c->extent->value,
                    'colour' => $c->colour?->hex(),
                    'base' => $c->isBase,
                ],
                $request->done,
            ),
            'faults' => array_map(
                fn (PlantedFault $f): stdClass => (object) ['key' => $f->key, 'area' => $f->area, 'size' => $f->size],
                $request->faults,
            ),
        ]);
    }

    /** @throws FormatException when it is not what {@see write} gave */
    public static function read(mixed $document): BoothRequest
    {
        $problems = new Problems();
        $root = Node::root($document, $problems);
        $coats = array_map(
            fn (Node $c): Coat => new Coat(
                $c->stringOrNull('area'),
                $c->enum('mark', Mark::class),
                Extent::from($c->int('extent', 0, 3)),
                $c->isNull('colour') ? null : Srgb::fromHex($c->string('colour')),
                $c->bool('base'),
            ),
            $root->list('coats'),
        );
        $faults = array_map(
            fn (Node $f): PlantedFault => new PlantedFault(
                $f->string('key'),
                $f->string('area'),
                $f->isNull('size') ? null : $f->number('size', 0.0, 1000.0),
            ),
            $root->list('faults'),
        );
        $cast = array_map(fn (Node $n): float => $n->asNumber(0.1, 10.0), $root->list('cast'));
        $request = new BoothRequest(
            SculptFormat::read($root->get('sculpt')->value),
            $coats,
            $root->enum('view', View::class),
            $root->int('width', Booth::LEAST, Booth::MOST),
            $root->int('seed', 0),
            $faults,
            $root->number('stops', -4.0, 4.0),
            [$cast[0] ?? 1.0, $cast[1] ?? 1.0, $cast[2] ?? 1.0],
            $root->has('plain') && $root->bool('plain'),
        );
        $problems->refuse();

        return $request;
    }
}
