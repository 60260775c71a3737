<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use Ordotype\Core\Sculpt\Material;

/** One kind of fault of the fault table: how grave, where and how it is repaired, what can cause it. */
final readonly class FaultKind
{
    /** Stands among the techniques of a repair for the area's own base, by brush. */
    public const OWN_BASE = 'own_base';

    /**
     * @param  bool  $bySize  whether visible size decides if it counts
     * @param  string  $where  area, neighbour or whole: where it is repaired
     * @param  list<string>  $first  techniques of the repair in order; `own_base` is the area's own base, by brush
     * @param  bool  $redoLater  whether the plan's later steps there are done again
     * @param  list<Material>  $materials  that can have it; empty: any
     * @param  list<Effect>  $effects  that can cause it; empty: any
     */
    public function __construct(
        public string $key,
        public string $name,
        public Severity $severity,
        public ?Severity $heroSeverity,
        public bool $bySize,
        public string $where,
        public array $first,
        public bool $redoLater,
        public array $materials,
        public array $effects,
        public string $looks,
        public string $cause,
        public string $howToSee,
    ) {
    }
}
