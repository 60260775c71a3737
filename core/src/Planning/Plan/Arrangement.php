<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Sequencing\Overrule;
use Ordotype\Core\Planning\Sequencing\StepKey;

/** What the lead has arranged for one plan beyond clauses and amendments. */
final readonly class Arrangement
{
    /**
     * @param  list<Overrule>  $overrules
     * @param  list<StepKey>  $sequence  of steps in the order they were put in by hand; the rest finds its own place
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

    /** @param  list<StepKey>  $sequence */
    public function inSequence(array $sequence): self
    {
        return new self($this->overrules, $sequence, $this->paints, $this->practice);
    }

    /** What holds for other steps of the same order: only the rules that are set aside. */
    public function rulesOnly(): self
    {
        return new self($this->overrules);
    }
}
