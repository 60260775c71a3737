<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/** One row of the ladder: the clauses with one suffix, a cell for each tier. */
final readonly class Row
{
    /** @param  list<Cell>  $cells in the order of the tiers */
    public function __construct(
        public string $suffix,
        public string $group,

        public array $cells,
    ) {
    }
}
