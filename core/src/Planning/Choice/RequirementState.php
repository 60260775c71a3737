<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Standard\School;

/** How a plan stands to one requirement. */
final readonly class RequirementState
{
    /**
     * @param  Standing|null  $state  null for what only the finished work shows (finish) or the bench decides (skill)
     * @param  float  $by  how much is lacking or too much, in the requirement's own unit: passes, steps, colours,
     *     minutes
     * @param  Conflict|null  $conflict  that it is part of
     * @param  School|null  $school  that stands in the way of it
     */
    public function __construct(
        public Requirement $requirement,
        public ?Standing $state,
        public float $by = 0.0,
        public ?Conflict $conflict = null,
        public ?School $school = null,
    ) {
    }
}
