<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Dice;
use Ordotype\Core\Standard\Extent;

/** One coat on one patch: where, in which colour, on top of what. */
final readonly class Stroke
{
    public Masks $masks;

    /**
     * @param  int  $lights  light steps that were laid on the area before it
     * @param  int  $lightsInAll  that are planned on the area
     * @param  int  $edges  edge lines that were drawn on the area before it
     * @param  bool  $isBlended  whether the area gets a blend: then no step on it is left with an edge
     * @param  array<string, float|null>  $spoilt  planted faults of the area with their sizes, by key
     */
    public function __construct(
        public Patch $patch,
        public Coat $coat,
        public Colour $colour,
        public Colour $base,
        public int $lights,
        public int $lightsInAll,
        public int $edges,
        public bool $isBlended,
        public int $seed,
        public array $spoilt = [],
    ) {
        $this->masks = new Masks($patch);
    }

    /** Share of what the technique could cover that its extent lets it: as in the time it takes. */
    public function reach(): float
    {
        return match ($this->coat->extent) {
            Extent::Full => 1.0,
            Extent::Prominent => 0.6,
            Extent::None, Extent::Spot => 0.28,
        };
    }

    /** A rank threshold, drawn up where the extent is less than full. */
    public function from(float $rank): float
    {
        return 1 - (1 - $rank) * $this->reach();
    }

    public function isSpoiltBy(string $fault): bool
    {
        return array_key_exists($fault, $this->spoilt);
    }

    public function noise(int $of): Noise
    {
        return new Noise(Dice::hash($this->seed, $of));
    }

    public function dice(int $of): Dice
    {
        return new Dice(Dice::hash($this->seed, $of));
    }
}
