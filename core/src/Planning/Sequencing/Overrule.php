<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/**
 * A rule of order that the lead has set aside between two steps of an order, with the reason. Steps are named by area
 * (`*`: the whole model) and technique: `coat:edge_highlight`.
 */
final readonly class Overrule
{
    public function __construct(
        public Rule $rule,
        public StepPlace $earlier,
        public StepPlace $later,
        public string $reason,
    ) {
    }
}
