<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Sculpt\Area;

/** One thing that a question asks about, and where. */
final readonly class AskedThere
{
    /** @param  non-empty-list<Area>  $areas */
    public function __construct(public Requirement $requirement, public array $areas)
    {
    }
}
