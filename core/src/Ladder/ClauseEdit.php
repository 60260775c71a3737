<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Tier;

/**
 * A clause that a tier states itself goes from what it was to what it is; null before: it is new; null after: it goes.
 */
final readonly class ClauseEdit implements Change
{
    public function __construct(public Tier $tier, public ?Clause $before, public ?Clause $after)
    {
    }
}
