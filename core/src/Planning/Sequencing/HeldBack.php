<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/** One step that a rule wants before another. */
final readonly class HeldBack
{
    public function __construct(public Rule $rule, public Step $earlier, public Step $later)
    {
    }
}
