<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Sequencing\Overrule;

/** What the lead has arranged for one plan beyond clauses and amendments. */
final readonly class Arrangement
{
    /**
     * @param  list<Overrule>  $overrules
     * @param  list<string>  $sequence  keys of steps in the order they were put in by hand; the rest finds its own
     *     place
     * @param  array<string, string>  $paints  key of a step to the paint (or #rrggbb) it is done with
     * @param  string|null  $practice  key of the one technique that may go beyond the tier as practice
     */
    public function __construct(
        public array $overrules = [],
        public array $sequence = [],
        public array $paints = [],
        public ?string $practice = null,
    ) {
    }
}
