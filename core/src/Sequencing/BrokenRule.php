<?php

declare(strict_types=1);

namespace Ordotype\Core\Sequencing;

/** A rule that wants the one step before the other, where the order has them the other way round. */
final readonly class BrokenRule
{
    public function __construct(public Rule $rule, public Step $earlier, public Step $later)
    {
    }
}
