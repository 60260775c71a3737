<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Technique;

/** A technique that a plan does not call for and that could be done on an area all the same, in one pass. */
final readonly class Extra
{
    /**
     * @param  float  $minutes  rounded up to the half minute
     * @param  float  $notice  how much it is noticed, see {@see SpareMinutes}
     * @param  bool  $onRequest  whether the tier gives it on request only
     */
    public function __construct(
        public Area $area,
        public ChosenTechnique $use,
        public float $minutes,
        public float $notice,
        public bool $onRequest,
    ) {
    }

    public function technique(): Technique
    {
        return $this->use->technique;
    }
}
