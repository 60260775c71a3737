<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Technique;

/** One thing to do on the bench to put a fault right. Minutes are hand minutes; area null: the whole model. */
final readonly class RepairStep
{
    public function __construct(
        public Technique $technique,
        public ?Area $area,
        public float $minutes,
        public RepairWhy $why,
    ) {
    }
}
