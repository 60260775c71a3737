<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\Srgb;

/**
 * The pot a step is painted from: a paint of the scheme, a 1:1 mix of two, or a mix of its own. `colour` is
 * null where it is not known.
 */
final readonly class StepColour
{
    /** @param  Pot|null  $mix  where it is neither: its words stand as the paint */
    public function __construct(
        public string $paint,
        public ?string $mixedWith,
        public ?Srgb $colour,
        public ?Pot $mix = null,
    ) {
    }

    public static function of(Pot $pot, Shelf $shelf): self
    {
        $plain = $pot->plain();

        return new self($plain ?? $pot->words(), null, $shelf->colourOf($pot), $plain === null ? $pot : null);
    }

    public function words(): string
    {
        return $this->mixedWith === null ? $this->paint : "$this->paint + $this->mixedWith 1:1";
    }
}
