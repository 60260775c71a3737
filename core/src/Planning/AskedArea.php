<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Choice\AreaProblem;
use Ordotype\Core\Demand\AreaDemand;

/** What is asked of an area, and with what it could be met, before anything is chosen. */
final readonly class AskedArea
{
    public function __construct(public AreaDemand $demand, public AreaProblem $problem)
    {
    }
}
