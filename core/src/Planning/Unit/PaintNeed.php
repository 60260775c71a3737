<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Colour\Srgb;

/** How much of one paint, or of medium, a unit takes. */
final readonly class PaintNeed
{
    /** Drops to the millilitre: common practice, no source. */
    public const DROPS = 20;

    /**
     * @param  string|null  $paint  a paint's name or a #rrggbb; null for medium
     * @param  float  $ml  with what is lost on the palette
     * @param  float|null  $left  ml on the shelf; null where it does not hold the paint
     */
    public function __construct(
        public ?string $paint,
        public ?Srgb $colour,
        public float $ml,
        public ?float $left,
    ) {
    }

    public function drops(): int
    {
        return (int) ceil($this->ml * self::DROPS - 1e-9);
    }

    public function runsShort(): bool
    {
        return $this->left !== null && $this->left < $this->ml;
    }
}
