<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** How a tier's work is looked at: distance in cm, and the visual angle in arcminutes from which a flaw is noticed. */
final readonly class Viewing
{
    public function __construct(public float $distanceCm, public float $angleArcmin)
    {
    }
}
