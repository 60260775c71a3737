<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Standard\Amendment;

/** How some pieces of a unit differ so that they do not look like clones: other colours, or something extra. */
final readonly class Variant
{
    /**
     * @param  float  $share  of the unit's pieces, 0 to 1
     * @param  Scheme|null  $colours  only those that differ from the unit's scheme
     * @param  list<Amendment>  $amendments
     */
    public function __construct(
        public string $name,
        public float $share,
        public ?Scheme $colours = null,
        public array $amendments = [],
    ) {
    }
}
