<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** Something wrong with the colours of a slot: which paint, and beside which other. */
final readonly class SlotProblem
{
    public function __construct(
        public SlotProblemKind $kind,
        public ?string $paint = null,
        public ?string $beside = null,
    ) {
    }
}
