<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use BackedEnum;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Standard\Scope;
use stdClass;

/** Scopes as they stand in the open formats. */
final class ScopeFormat
{
    public static function read(Node $node): Scope
    {
        $node->keys([], ['rank', 'material', 'relief', 'role', 'size', 'facing', 'area', 'focus_min', 'except']);

        return new Scope(
            rank: $node->has('rank') ? $node->enums('rank', Rank::class) : null,
            material: $node->has('material') ? $node->enums('material', Material::class) : null,
            relief: $node->has('relief') ? $node->enums('relief', Relief::class) : null,
            role: $node->has('role') ? $node->enums('role', Role::class) : null,
            size: $node->has('size') ? $node->enums('size', Size::class) : null,
            facing: $node->has('facing') ? $node->enums('facing', Facing::class) : null,
            area: $node->has('area') ? $node->strings('area') : null,
            focusMin: $node->has('focus_min') ? $node->int('focus_min', 0, 3) : null,
            except: $node->has('except') ? self::read($node->get('except')) : null,
        );
    }

    public static function write(Scope $scope): stdClass
    {
        return (object) array_filter(
            [
                'rank' => self::words($scope->rank),
                'material' => self::words($scope->material),
                'relief' => self::words($scope->relief),
                'role' => self::words($scope->role),
                'size' => self::words($scope->size),
                'facing' => self::words($scope->facing),
                'area' => $scope->area,
                'focus_min' => $scope->focusMin,
                'except' => $scope->except === null ? null : self::write($scope->except),
            ],
            fn (mixed $v) => $v !== null,
        );
    }

    /**
     * @param  list<BackedEnum>|null  $words
     * @return list<int|string>|null
     */
    private static function words(?array $words): ?array
    {
        return $words === null ? null : array_map(fn (BackedEnum $w) => $w->value, $words);
    }
}
