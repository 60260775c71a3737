<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** A colour in CIELAB, D65, 2° observer. */
final readonly class Lab
{
    public function __construct(public float $l, public float $a, public float $b)
    {
    }
}
