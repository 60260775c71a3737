<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Sculpt\Area;

/** The fewest requirements that cannot hold together on an area (null: on the whole model). */
final readonly class Conflict
{
    /** @var list<Reason> the clauses and amendments that are to blame; empty where none is */
    public array $reasons;

    /** @param  list<Requirement>  $asked  in clause order */
    public function __construct(public ?Area $area, public ConflictCause $cause, public array $asked = [])
    {
        $this->reasons = Reason::unique(array_merge(...array_map(fn (Requirement $r) => $r->reasons, $asked)));
    }
}
