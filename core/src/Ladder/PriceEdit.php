<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\PriceRange;

/** A range of the price list goes from what it was to what it is. */
final readonly class PriceEdit implements Change
{
    public function __construct(public PriceRange $before, public PriceRange $after)
    {
    }
}
