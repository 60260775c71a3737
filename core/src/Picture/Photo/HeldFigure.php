<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Sculpt\Area;

/** A figure of a photograph held against what the tier asks: evidence, never a verdict. */
final readonly class HeldFigure
{
    /**
     * @param  float  $value  in the unit of the criterion
     * @param  float  $limit  what is held against: the tier's, or less where the plan itself shows less
     */
    public function __construct(
        public FinishRequirement $asked,
        public Area $area,
        public float $value,
        public float $limit,
        public bool $isMet,
    ) {
    }
}
