<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\Tier;

/** One thing in which two versions of a standard differ. Null before: it is new; null after: it is gone. */
final readonly class StandardChange
{
    /** @param  list<Tier>  $tiers  it holds in, lowest first; of clauses only */
    public function __construct(
        public ChangeKind $kind,
        public Clause|Tier|Technique|PriceRange|null $before,
        public Clause|Tier|Technique|PriceRange|null $after,
        public array $tiers = [],
    ) {
    }

    /** What it is now, or was. */
    public function subject(): Clause|Tier|Technique|PriceRange|null
    {
        return $this->after ?? $this->before;
    }
}
