<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

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

    /** Whether two areas touch while they are painted: what is kept apart touches only what is kept apart with it. */
    public function touchAtWork(string $one, string $other): bool
    {
        return $this->touch($one, $other) && $this->area($one)->part === $this->area($other)->part;
    }

    /** @return list<string> kept-apart parts that some area belongs to, in the order of the areas */
    public function keptApart(): array
    {
        return array_values(
            array_unique(
                array_filter(array_map(fn (Area $a) => $a->part, $this->areas), fn (?string $part) => $part !== null),
            ),
        );
    }

    /** The same model with all its areas of rank ground kept apart, in a part of their own. */
    public function groundApart(string $part): self
    {
        return $this->of(
            array_map(fn (Area $a) => $a->rank === Rank::Ground ? $a->inPart($part) : $a, $this->areas),
            $this->surfaceCm2,
        );
    }

    /**
     * A piece that does not have some areas: the others keep their cm², so the surface shrinks and shares grow.
     *
     * @param  list<string>  $keys
     */
    public function without(array $keys): self
    {
        $left = array_values(array_filter($this->areas, fn (Area $a) => ! in_array($a->key, $keys, true)));
        $share = array_sum(array_map(fn (Area $a) => $a->sharePct, $left));
        $all = array_sum(array_map(fn (Area $a) => $a->sharePct, $this->areas));
        if ($left === [] || count($left) === count($this->areas) || $share <= 0.0) {
            return $this;
        }

        return $this->of(
            array_map(fn (Area $a) => $a->lacking($keys, ($a->sharePct * $all) / $share), $left),
            ($this->surfaceCm2 * $share) / $all,
        );
    }

    /** @param  list<Area>  $areas */
    private function of(array $areas, float $surfaceCm2): self
    {
        return new self(
            $this->name,
            $this->role,
            $this->size,
            $this->baseMm,
            $surfaceCm2,
            $this->definition,
            $this->parts,
            $this->frameStated,
            $this->frameMm,
            $areas,
        );
    }

    public function areaCm2(Area $area): float
    {
        return ($this->surfaceCm2 * $area->sharePct) / 100;
    }
}
