<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Planning\Plan\Plan;

/** Pieces of a unit that are painted alike, with their plan. */
final readonly class PieceKind
{
    /**
     * @param  non-empty-list<int>  $pieces  their numbers, rising
     * @param  list<string>  $lacks  keys of areas they do not have
     * @param  list<int>  $amendments  numbers of those that hold on these pieces beyond the unit's
     */
    public function __construct(
        public array $pieces,
        public Plan $plan,
        public ?Variant $variant,
        public array $lacks,
        public array $amendments,
        public bool $edited,
    ) {
    }

    /** Whether they are painted just as the unit is. */
    public function isPlain(): bool
    {
        return $this->variant === null && $this->lacks === [] && $this->amendments === [] && ! $this->edited;
    }
}
