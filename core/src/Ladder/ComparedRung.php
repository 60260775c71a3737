<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Tier;

/** One rung of a comparison sheet. */
final readonly class ComparedRung
{
    /**
     * @param  TierDifference  $fromBelow  what it gives that the rung below does not; of the lowest, what it gives
     *     at all
     * @param  TierDifference|null  $toNext  what one gets from the next rung on
     */
    public function __construct(
        public Tier $tier,
        public Plan $plan,
        public TierDifference $fromBelow,
        public ?TierDifference $toNext,
    ) {
    }

    public function price(): ?PriceRange
    {
        return $this->fromBelow->prices()[1];
    }
}
