<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Demand\Trend;

/** One requirement that differs between two tiers. `before` is null where it is added, `after` where it is dropped. */
final readonly class RequirementChange
{
    public function __construct(public Trend $trend, public ?Requirement $before, public ?Requirement $after)
    {
    }
}
