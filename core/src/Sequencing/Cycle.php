<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

/** Rules that run in a circle, so that no order keeps them all. */
final readonly class Cycle
{
    /**
     * @param  list<string>  $areas  keys of the areas on it
     * @param  list<Rule>  $rules  the rules on it
     * @param  Rule  $broken  the one the order gives up
     */
    public function __construct(
        public array $areas,
        public array $rules,
        public Rule $broken,
        public string $words,
    ) {
    }
}
