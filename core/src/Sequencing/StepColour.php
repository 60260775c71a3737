<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

use Ordotype\Core\Colour\Srgb;

/**
 * The pot a step is painted from: a paint of the scheme, or a 1:1 mix of two. `colour` is null where it is not known.
 */
final readonly class StepColour
{
    public function __construct(public string $paint, public ?string $mixedWith, public ?Srgb $colour)
    {
    }

    public function words(): string
    {
        return $this->mixedWith === null ? $this->paint : "$this->paint + $this->mixedWith 1:1";
    }
}
