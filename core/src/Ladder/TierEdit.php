<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Tier;

/** The head of a tier, all but its clauses, goes from what it was to what it is. */
final readonly class TierEdit implements Change
{
    public function __construct(public Tier $before, public Tier $after)
    {
    }
}
