<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Sequencing\Step;

/**
 * A step the tier does not need: `beyond` when the tier does not want it there either, `practice` when it would be but
 * is
 * done to practise it, else merely spare.
 */
final readonly class SurplusStep
{
    public function __construct(
        public Step $step,
        public int $no,
        public bool $beyond,
        public bool $practice = false,
    ) {
    }
}
