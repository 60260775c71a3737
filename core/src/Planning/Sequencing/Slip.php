<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

use Ordotype\Core\Sculpt\Area;

/** Finished paint that a pass strays onto: what is put right at once, in which colour, and the minutes of it. */
final readonly class Slip
{
    public function __construct(public Area $area, public ?StepColour $colour, public float $minutes)
    {
    }
}
