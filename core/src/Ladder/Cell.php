<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Clause;

/** What one tier says in one row of the ladder. */
final readonly class Cell
{
    /**
     * @param  Clause|null  $clause  the clause that holds; null where the tier says nothing in this row
     * @param  bool  $own  whether the tier states it itself
     * @param  bool  $asBefore  whether the rung below asks the very same
     */
    public function __construct(
        public string $tier,
        public string $suffix,
        public ?Clause $clause,
        public bool $own,
        public bool $asBefore,
    ) {
    }
}
