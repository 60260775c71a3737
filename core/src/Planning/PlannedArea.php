<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Choice\Choice;
use Ordotype\Core\Choice\Conflict;
use Ordotype\Core\Demand\AreaDemand;
use Ordotype\Core\Method\School;

/** What a plan does on one area (or on the whole model), or why nothing can be planned there. */
final readonly class PlannedArea
{
    /**
     * @param  Choice|null  $choice  null where there is a conflict
     * @param  int  $gradeBar  the bar that was used, after lowering
     * @param  int  $relaxed  by how much the bar of the pace was lowered
     * @param  School|null  $shortBecause  what of the method stands in the way of what is left out here
     */
    public function __construct(
        public AreaDemand $demand,
        public ?Choice $choice,
        public int $gradeBar,
        public int $relaxed,
        public ?Conflict $conflict,
        public ?School $shortBecause = null,
    ) {
    }

    public function minutes(): ?float
    {
        return $this->choice?->minutes;
    }
}
