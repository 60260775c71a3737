<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Family;

/** One row of the ladder: the clauses with one suffix, a cell for each tier. */
final readonly class Row
{
    /**
     * @param  list<Cell>  $cells  in the order of the tiers
     * @param  Family|null  $family  whose techniques the row merely lets be used, or shuts out; null: it asks more
     * @param  bool  $ofWholeFamily  whether it speaks of the family as such
     */
    public function __construct(
        public string $suffix,
        public RowGroup $group,
        public array $cells,
        public ?Family $family = null,
        public bool $ofWholeFamily = false,
    ) {
    }
}
