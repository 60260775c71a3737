<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use InvalidArgumentException;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;

/** Reads `ordotype/placement@1`: three points in a photograph, and areas that lie elsewhere by themselves. */
final class PlacementFormat
{
    public const WORD = 'ordotype/placement@1';

    /** @throws FormatException naming every path that is wrong and why */
    public static function read(mixed $document, Sculpt $sculpt): Placement
    {
        $problems = new Problems();
        $root = Node::root($document, $problems)
            ->format(self::WORD)
            ->keys(['format', 'view', 'base_left', 'base_right', 'top'], ['shifts']);
        $view = $root->enum('view', View::class);
        [$left, $right, $top] = array_map(
            fn (string $key): array => self::point($root->get($key)),
            ['base_left', 'base_right', 'top'],
        );
        $shifts = self::shifts($root, $sculpt);
        $problems->refuse();
        try {
            return Placement::ofPoints($sculpt, $view, $left, $right, $top)->shifted($shifts);
        } catch (InvalidArgumentException $e) {
            $root->problem($e->getMessage());
            $problems->refuse();
            throw $e;
        }
    }

    /** @return array<string, array{float, float}> by area key, pixels */
    private static function shifts(Node $root, Sculpt $sculpt): array
    {
        $shifts = [];
        foreach ($root->has('shifts') ? $root->map('shifts') : [] as $area => $node) {
            if (! $sculpt->has((string) $area)) {
                $node->problem("$sculpt->name has no area \"$area\"");
            }
            $shifts[(string) $area] = self::point($node);
        }

        return $shifts;
    }

    /** @return array{float, float} pixels */
    private static function point(Node $node): array
    {
        $numbers = $node->items();
        if (count($numbers) !== 2) {
            $node->problem('must be [x, y]');
        }
        $at = fn (int $k): float => isset($numbers[$k]) ? $numbers[$k]->asNumber(-1e6, 1e6) : 0.0;

        return [$at(0), $at(1)];
    }
}
