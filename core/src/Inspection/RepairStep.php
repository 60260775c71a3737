<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** One thing to do on the bench to put a fault right. Minutes are hand minutes; area null: the whole model. */
final readonly class RepairStep
{
    public function __construct(
        public string $technique,
        public ?string $area,
        public float $minutes,
        public string $why,
    ) {
    }
}
