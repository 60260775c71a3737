<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Sculpt\Area;

/** Something a clause asks that cannot be done on an area at all. No conflict, but said. */
final readonly class NotApplicable
{
    public function __construct(public Area $area, public Requirement $asked, public Unfit $why)
    {
    }
}
