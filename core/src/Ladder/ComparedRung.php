<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Tier;

/** One rung of a comparison sheet, in plain words. */
final readonly class ComparedRung
{
    /**
     * @param  list<string>  $adds  what it gives that the rung below does not
     * @param  list<string>  $loses  what only the rung below gives
     * @param  list<string>  $notHere  what one gets from the next rung on
     */
    public function __construct(
        public Tier $tier,
        public Plan $plan,
        public ?PriceRange $price,
        public array $adds,
        public array $loses,
        public array $notHere,
    ) {
    }
}
