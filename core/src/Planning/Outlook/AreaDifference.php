<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Sculpt\Area;

/**
 * What two plans do otherwise on one area (null: on the whole model). Minutes are null where one cannot be planned.
 */
final readonly class AreaDifference
{
    /**
     * @param  list<ChosenTechnique>  $onlyOne
     * @param  list<ChosenTechnique>  $onlyOther
     */
    public function __construct(
        public ?Area $area,
        public array $onlyOne,
        public array $onlyOther,
        public ?float $minutesOne,
        public ?float $minutesOther,
    ) {
    }
}
