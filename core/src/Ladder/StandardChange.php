<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/** One thing in which two versions of a standard differ. */
final readonly class StandardChange
{
    /**
     * @param  string  $kind  added, dropped, tightened, loosened or changed
     * @param  string  $what  clause, tier, technique or price
     * @param  list<string>  $tiers  names of the tiers it holds in, lowest first; empty for techniques
     * @param  string  $label  what it is called on the ladder
     */
    public function __construct(
        public string $kind,
        public string $what,
        public array $tiers,
        public string $label,
        public ?string $before,
        public ?string $after,
    ) {
    }
}
