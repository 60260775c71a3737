<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** A paint on the shelf; `ml` is what is left of it. */
final readonly class Paint
{
    public function __construct(
        public string $name,
        public string $kind,
        public Srgb $colour,
        public Hiding $hiding,
        public float $ml,
    ) {
    }
}
