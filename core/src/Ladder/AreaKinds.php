<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Standard\Scope;

/** Every kind of area that some scopes could tell apart, as an area on a model of its own. */
final class AreaKinds
{
    /**
     * Materials, ranks and single reliefs in full, two reliefs where the scopes name one of them; role, size, facing,
     * focus and area keys as far as the scopes name them, and one other.
     *
     * @param  list<Scope>  $scopes
     * @param  Scope  $within  what lies outside it is left out; its `except` is not looked at
     * @return iterable<AreaKind>
     */
    public static function toldApartBy(array $scopes, Scope $within = new Scope()): iterable
    {
        $all = self::withExceptions($scopes);
        $roles = self::named(Role::cases(), array_merge(...array_map(fn (Scope $s) => $s->role ?? [], $all)));
        $sizes = self::named(Size::cases(), array_merge(...array_map(fn (Scope $s) => $s->size ?? [], $all)));
        $facings = self::named(Facing::cases(), array_merge(...array_map(fn (Scope $s) => $s->facing ?? [], $all)));
        $keys = array_values(
            array_unique([...array_merge(...array_map(fn (Scope $s) => $s->area ?? [], $all)), 'any']),
        );
        $focus = array_values(
            array_unique([
                0,
                ...array_filter(array_map(fn (Scope $s) => $s->focusMin, $all), fn (?int $f) => $f !== null),
            ]),
        );
        $reliefs = self::reliefs(array_merge(...array_map(fn (Scope $s) => $s->relief ?? [], $all)));
        $reliefs = array_filter($reliefs, fn (array $r) => $within->relief === null ||
            array_filter($r, fn (Relief $one) => in_array($one, $within->relief, true)) !== []);
        $focus = array_filter($focus, fn (int $f) => $f >= ($within->focusMin ?? 0));
        $ranks = self::inside(Rank::cases(), $within->rank);
        $materials = self::inside(Material::cases(), $within->material);
        foreach (self::inside($roles, $within->role) as $role) {
            foreach (self::inside($sizes, $within->size) as $size) {
                foreach (self::inside($facings, $within->facing) as $facing) {
                    foreach (self::inside($keys, $within->area) as $key) {
                        foreach ($focus as $f) {
                            yield from self::surfaces($role, $size, $facing, $key, $f, $ranks, $materials, $reliefs);
                        }
                    }
                }
            }
        }
    }

    /**
     * @template T
     *
     * @param  list<T>  $all
     * @param  list<T>|null  $stated  null: everything
     * @return list<T>
     */
    private static function inside(array $all, ?array $stated): array
    {
        return $stated === null
            ? $all
            : array_values(array_filter($all, fn (mixed $one) => in_array($one, $stated, true)));
    }

    /**
     * @param  list<Rank>  $ranks
     * @param  list<Material>  $materials
     * @param  array<non-empty-list<Relief>>  $reliefs
     * @return iterable<AreaKind>
     */
    private static function surfaces(
        Role $role,
        Size $size,
        Facing $facing,
        string $key,
        int $focus,
        array $ranks,
        array $materials,
        array $reliefs,
    ): iterable {
        foreach ($ranks as $rank) {
            foreach ($materials as $material) {
                foreach ($reliefs as $relief) {
                    $area = new Area(
                        $key,
                        $key,
                        $material,
                        $relief,
                        $rank,
                        $focus,
                        $facing,
                        0,
                        100.0,
                        1,
                        1.0,
                        null,
                        [],
                        null,
                        null,
                        null,
                        [],
                    );
                    yield new AreaKind(
                        $area,
                        new Sculpt('kind', $role, $size, null, 10.0, null, [], false, null, [$area]),
                    );
                }
            }
        }
    }

    /**
     * @param  list<Relief>  $named
     * @return list<non-empty-list<Relief>> each alone, then each named one with each other
     */
    private static function reliefs(array $named): array
    {
        $result = array_map(fn (Relief $r) => [$r], Relief::cases());
        foreach (Relief::cases() as $i => $one) {
            foreach (array_slice(Relief::cases(), $i + 1) as $other) {
                if (in_array($one, $named, true) || in_array($other, $named, true)) {
                    $result[] = [$one, $other];
                }
            }
        }

        return $result;
    }

    /**
     * @param  list<Scope>  $scopes
     * @return list<Scope>
     */
    private static function withExceptions(array $scopes): array
    {
        $all = [new Scope()];
        foreach ($scopes as $scope) {
            for ($s = $scope; $s !== null; $s = $s->except) {
                $all[] = $s;
            }
        }

        return $all;
    }

    /**
     * @template T of \UnitEnum
     *
     * @param  list<T>  $cases
     * @param  list<T>  $named
     * @return list<T> the named ones and the first other
     */
    private static function named(array $cases, array $named): array
    {
        $result = [];
        $other = null;
        foreach ($cases as $case) {
            if (in_array($case, $named, true)) {
                $result[] = $case;
            } else {
                $other ??= $case;
            }
        }

        return $other === null ? $result : [...$result, $other];
    }
}
