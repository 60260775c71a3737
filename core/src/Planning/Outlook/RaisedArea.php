<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Planning\Demand\AreaDemand;

/** What has to be added on one area that is painted already, and what of that stays. */
final readonly class RaisedArea
{
    /**
     * @param  list<ChosenTechnique>  $added  in catalogue order
     * @param  list<ChosenTechnique>  $kept  done, still there afterwards, and counted
     * @param  list<ChosenTechnique>  $lost  done, and covered by what is added; or no longer clean enough to count
     * @param  bool  $repainted  the area starts anew, by brush
     * @param  int  $over  colour steps done beyond the ceiling
     */
    public function __construct(
        public AreaDemand $demand,
        public array $added,
        public array $kept,
        public array $lost,
        public bool $repainted,
        public int $gradeBar,
        public int $over,
        public ?Conflict $conflict,
    ) {
    }

    public function minutes(): float
    {
        return array_sum(array_map(fn (ChosenTechnique $u) => $u->minutes(), $this->added));
    }
}
