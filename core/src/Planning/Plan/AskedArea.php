<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Demand\AreaDemand;

/** What is asked of an area, and with what it could be met, before anything is chosen. */
final readonly class AskedArea
{
    public function __construct(public AreaDemand $demand, public AreaProblem $problem)
    {
    }
}
