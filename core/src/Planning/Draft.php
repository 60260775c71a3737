<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Sequencing\Step;

/** What is done on a piece, before it has an order of work. */
final readonly class Draft
{
    /**
     * @param  list<PlannedArea>  $areas
     * @param  list<SprayedColour>  $sprayed
     * @param  list<Step>  $steps
     */
    public function __construct(
        public PlanRequest $request,
        public array $areas,
        public PlannedArea $whole,
        public array $sprayed,
        public array $steps,
    ) {
    }
}
