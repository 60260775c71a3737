<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\School;

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

    /** The same of the area as another piece has it, where there is no conflict. */
    public function on(Area $area): self
    {
        $demand = $this->demand->on($area);

        return new self($demand, $this->choice, $this->gradeBar, $this->relaxed, null, $this->shortBecause);
    }

    public function minutes(): ?float
    {
        return $this->choice?->minutes;
    }
}
