<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Definition;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\Size;
use stdClass;

/** Reads and writes `ordotype/sculpt@1`. */
final class SculptFormat
{
    public const WORD = 'ordotype/sculpt@1';

    /** Shares are written with few decimals; this much may be lost to rounding. */
    private const SHARE_TOLERANCE = 0.5;

    /**
     * A map that is kept or taken in anew, and not one that something was planned from already: eyes, lenses, lamps,
     * ground and rim must be counted, since their steps take their time for each of them.
     *
     * @throws FormatException naming every path that is wrong and why
     */
    public static function readAnew(mixed $document): Sculpt
    {
        $sculpt = self::read($document);
        $problems = new Problems();
        foreach ($sculpt->areas as $i => $area) {
            if ($area->material->isCounted() && $area->count === 0) {
                $reason = "how many there are of \"$area->name\" must be said: none take no time";
                $problems->add("/areas/$i/count", $reason);
            }
        }
        $problems->refuse();

        return $sculpt;
    }

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document): Sculpt
    {
        $problems = new Problems();
        $root = Node::root($document, $problems)
            ->format(self::WORD)
            ->keys(
                ['format', 'name', 'role', 'size', 'base_mm', 'surface_cm2', 'parts', 'areas'],
                ['definition', 'frame_mm'],
            );
        $parts = $root->strings('parts');
        $areas = [];
        foreach ($root->list('areas') as $node) {
            $area = self::area($node, $parts);
            if (isset($areas[$area->key])) {
                $node->get('key')->problem("\"$area->key\" is the key of an earlier area too");
            }
            $areas[$area->key] = $area;
        }
        if ($areas === []) {
            $root->get('areas')->problem('must hold at least one area');
        }
        foreach ($root->list('areas') as $node) {
            self::checkNeighbours($node, $areas);
        }
        $sum = array_sum(array_map(fn (Area $a) => $a->sharePct, $areas));
        if ($areas !== [] && abs($sum - 100) > self::SHARE_TOLERANCE + 1e-9) {
            $root
                ->get('areas')
                ->problem(
                    sprintf('the shares sum to %s %%, not to 100 (± %s)', round($sum, 3), self::SHARE_TOLERANCE),
                );
        }
        $frame = null;
        if ($root->has('frame_mm') && ! $root->isNull('frame_mm')) {
            $sides = $root->list('frame_mm');
            if (count($sides) !== 2) {
                $root->get('frame_mm')->problem('must be [width, height]');
            }
            $frame = [
                ($sides[0] ?? $root->get('frame_mm'))->asNumber(1, 2000),
                ($sides[1] ?? $root->get('frame_mm'))->asNumber(1, 2000),
            ];
        }
        $sculpt = new Sculpt(
            name: $root->string('name'),
            role: $root->enum('role', Role::class),
            size: $root->enum('size', Size::class),
            baseMm: $root->isNull('base_mm') ? null : $root->number('base_mm', 1, 1000),
            surfaceCm2: $root->number('surface_cm2', 0.1, 100_000),
            definition: $root->has('definition') ? $root->enum('definition', Definition::class) : null,
            parts: $parts,
            frameStated: $root->has('frame_mm'),
            frameMm: $frame,
            areas: array_values($areas),
        );
        $problems->refuse();

        return $sculpt;
    }

    public static function write(Sculpt $sculpt): stdClass
    {
        return (object) ([
            'format' => self::WORD,
            'name' => $sculpt->name,
            'role' => $sculpt->role->value,
            'size' => $sculpt->size->value,
            'base_mm' => $sculpt->baseMm,
            'surface_cm2' => $sculpt->surfaceCm2,
        ] +
            ($sculpt->definition === null ? [] : ['definition' => $sculpt->definition->value]) + [
                'parts' => $sculpt->parts,
            ] +
            ($sculpt->frameStated ? ['frame_mm' => $sculpt->frameMm] : []) + [
                'areas' => array_map(self::writeArea(...), $sculpt->areas),
            ]);
    }

    /** @param  list<string>  $parts */
    private static function area(Node $node, array $parts): Area
    {
        $node->keys(
            [
                'key',
                'name',
                'material',
                'relief',
                'rank',
                'focus',
                'facing',
                'layer',
                'share_pct',
                'count',
                'access',
                'part',
                'touches',
                'surround',
                'outline',
            ],
            ['slot', 'optional'],
        );
        $part = $node->stringOrNull('part');
        if ($part !== null && ! in_array($part, $parts, true)) {
            $node->get('part')->problem("\"$part\" is not one of the sculpt's parts");
        }
        $relief = $node->enums('relief', Relief::class);
        if ($node->has('relief') && $relief === []) {
            $node->get('relief')->problem('must name at least one relief');
        }

        return new Area(
            key: $node->key('key'),
            name: $node->string('name'),
            material: $node->enum('material', Material::class),
            relief: $relief,
            rank: $node->enum('rank', Rank::class),
            focus: $node->int('focus', 0, 3),
            facing: $node->enum('facing', Facing::class),
            layer: $node->int('layer', 0, 99),
            sharePct: $node->number('share_pct', 0, 100),
            count: $node->int('count', 0, 9999),
            access: $node->number('access', 1, 2),
            part: $part,
            touches: $node->strings('touches'),
            surround: $node->stringOrNull('surround'),
            slot: $node->has('slot') ? $node->string('slot') : null,
            optional: $node->has('optional') ? $node->bool('optional') : null,
            outline: self::outline($node),
        );
    }

    /** @return array<string, list<list<array{float, float}>>> */
    private static function outline(Node $node): array
    {
        $outline = [];
        foreach ($node->map('outline') as $view => $rings) {
            if (! in_array($view, ['front', 'back'], true)) {
                $rings->problem("\"$view\" is not a view with outlines; they are front and back");

                continue;
            }
            $outline[$view] = [];
            foreach ($rings->items() as $ring) {
                $points = [];
                foreach ($ring->items() as $point) {
                    $xy = $point->items();
                    if (count($xy) !== 2) {
                        $point->problem('must be [x, y]');

                        continue;
                    }
                    $points[] = [$xy[0]->asNumber(0, 1), $xy[1]->asNumber(0, 1)];
                }
                if (count($points) < 3) {
                    $ring->problem('a ring has three points or more');
                }
                $outline[$view][] = $points;
            }
        }

        return $outline;
    }

    /** @param  array<string, Area>  $areas */
    private static function checkNeighbours(Node $node, array $areas): void
    {
        foreach ($node->list('touches') as $other) {
            if (! is_string($other->value)) {
                continue;
            }
            if (! isset($areas[$other->value])) {
                $other->problem("\"$other->value\" is not an area of this sculpt");
            } elseif ($other->value === $node->string('key')) {
                $other->problem('an area does not touch itself');
            }
        }
        $surround = $node->stringOrNull('surround');
        if ($surround !== null && ! isset($areas[$surround])) {
            $node->get('surround')->problem("\"$surround\" is not an area of this sculpt");
        } elseif ($surround !== null && $surround === $node->string('key')) {
            $node->get('surround')->problem('an area does not surround itself');
        }
    }

    private static function writeArea(Area $area): stdClass
    {
        return (object) ([
            'key' => $area->key,
            'name' => $area->name,
            'material' => $area->material->value,
            'relief' => array_map(fn (Relief $r) => $r->value, $area->relief),
            'rank' => $area->rank->value,
            'focus' => $area->focus,
            'facing' => $area->facing->value,
            'layer' => $area->layer,
            'share_pct' => $area->sharePct,
            'count' => $area->count,
            'access' => $area->access,
            'part' => $area->part,
            'touches' => $area->touches,
            'surround' => $area->surround,
        ] +
            array_filter(['slot' => $area->slot, 'optional' => $area->optional], fn (mixed $v) => $v !== null) + [
                'outline' => (object) $area->outline,
            ]);
    }
}
