<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

use Ordotype\Core\Standard\Role;
use Ordotype\Core\Standard\Size;

/** A kind of model with its map of areas. Surface in cm², base and frame in millimetres. */
final readonly class Sculpt
{
    /** @var array<string, int> key of an area to its place */
    private array $places;

    /** @var array<string, array<string, true>> touching is mutual even where only one side of a file says so */
    private array $touching;

    /**
     * @param  list<string>  $parts  kept-apart groups
     * @param  list<Area>  $areas
     * @param  array{float, float}|null  $frameMm  width and height; null: 60 by 80
     */
    public function __construct(
        public string $name,
        public Role $role,
        public Size $size,
        public ?float $baseMm,
        public float $surfaceCm2,
        public ?Definition $definition,
        public array $parts,
        public bool $frameStated,
        public ?array $frameMm,
        public array $areas,
    ) {
        $places = [];
        $touching = [];
        foreach ($areas as $place => $area) {
            $places[$area->key] = $place;
            foreach ($area->touches as $other) {
                $touching[$area->key][$other] = true;
                $touching[$other][$area->key] = true;
            }
        }
        $this->places = $places;
        $this->touching = $touching;
    }

    public function definition(): Definition
    {
        return $this->definition ?? Definition::Normal;
    }

    public function has(string $key): bool
    {
        return isset($this->places[$key]);
    }

    public function area(string $key): Area
    {
        return $this->areas[$this->places[$key]];
    }

    public function place(string $key): int
    {
        return $this->places[$key];
    }

    public function touch(string $one, string $other): bool
    {
        return isset($this->touching[$one][$other]);
    }

    public function areaCm2(Area $area): float
    {
        return $this->surfaceCm2 * $area->sharePct / 100;
    }
}
