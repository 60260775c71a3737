<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\Size;

/**
 * Which areas of which models a clause speaks of. A key that is null is not stated and matches everything;
 * a stated list matches when any of its words does.
 */
final readonly class Scope
{
    /**
     * @param  list<Rank>|null  $rank
     * @param  list<Material>|null  $material
     * @param  list<Relief>|null  $relief
     * @param  list<Role>|null  $role
     * @param  list<Size>|null  $size
     * @param  list<Facing>|null  $facing
     * @param  list<string>|null  $area  keys of areas
     */
    public function __construct(
        public ?array $rank = null,
        public ?array $material = null,
        public ?array $relief = null,
        public ?array $role = null,
        public ?array $size = null,
        public ?array $facing = null,
        public ?array $area = null,
        public ?int $focusMin = null,
        public ?self $except = null,
    ) {
    }

    /** Every stated key matches, `except` does not. */
    public function matches(Area $area, Sculpt $sculpt): bool
    {
        return $this->matchesModel($sculpt) &&
            ($this->rank === null || in_array($area->rank, $this->rank, true)) &&
            ($this->material === null || in_array($area->material, $this->material, true)) &&
            ($this->relief === null || self::overlap($this->relief, $area->relief)) &&
            ($this->facing === null || in_array($area->facing, $this->facing, true)) &&
            ($this->area === null || in_array($area->key, $this->area, true)) &&
            ($this->focusMin === null || $area->focus >= $this->focusMin) &&
            ($this->except === null || ! $this->except->matches($area, $sculpt));
    }

    /**
     * Whether no area of any model can be in both, as far as single words tell; `except` is not looked at, and an area
     * may have reliefs of both.
     */
    public function isApartFrom(self $other): bool
    {
        return self::apart($this->rank, $other->rank) ||
            self::apart($this->material, $other->material) ||
            self::apart($this->role, $other->role) ||
            self::apart($this->size, $other->size) ||
            self::apart($this->facing, $other->facing) ||
            self::apart($this->area, $other->area);
    }

    /**
     * As {@see matches}, but areas of rank ground only when the scope names them: by rank ground, by the material or
     * relief `ground` or `rim`, or by their own key. For steps, effect and finish clauses.
     */
    public function matchesPainting(Area $area, Sculpt $sculpt): bool
    {
        return ($area->rank !== Rank::Ground || $this->namesGround($area)) && $this->matches($area, $sculpt);
    }

    /** The keys that speak of the whole model: role and size. */
    public function matchesModel(Sculpt $sculpt): bool
    {
        return ($this->role === null || in_array($sculpt->role, $this->role, true)) &&
            ($this->size === null || in_array($sculpt->size, $this->size, true));
    }

    private function namesGround(Area $area): bool
    {
        return in_array(Rank::Ground, $this->rank ?? [], true) ||
            self::overlap([Material::Ground, Material::Rim], $this->material ?? []) ||
            self::overlap([Relief::Ground, Relief::Rim], $this->relief ?? []) ||
            in_array($area->key, $this->area ?? [], true);
    }

    /**
     * @template T of \UnitEnum|string
     *
     * @param  list<T>|null  $one
     * @param  list<T>|null  $other
     */
    private static function apart(?array $one, ?array $other): bool
    {
        return $one !== null && $other !== null && ! self::overlap($one, $other);
    }

    /**
     * @template T of \UnitEnum|string
     *
     * @param  list<T>  $one
     * @param  list<T>  $other
     */
    private static function overlap(array $one, array $other): bool
    {
        foreach ($one as $word) {
            if (in_array($word, $other, true)) {
                return true;
            }
        }

        return false;
    }
}
