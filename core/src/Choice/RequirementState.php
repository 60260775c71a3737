<?php

declare(strict_types=1);

namespace Ordotype\Core\Choice;

use Ordotype\Core\Demand\Requirement;

/**
 * How a plan stands to one requirement. `state` is met, short, over or conflict, and null for what only the finished
 * work shows (finish) or only the bench decides (skill). `by` is how much is lacking or too much, in the requirement's
 * own unit: passes, steps, colours or minutes.
 */
final readonly class RequirementState
{
    public function __construct(
        public Requirement $requirement,
        public ?string $state,
        public float $by = 0.0,
        public ?string $reason = null,
    ) {
    }
}
