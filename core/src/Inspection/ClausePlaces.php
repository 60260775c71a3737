<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use LogicException;
use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\TechniqueRequirement;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\View;

/** Where a clause asks something in one view, while {@see CheckList} gathers it. */
final class ClausePlaces
{
    /** @var list<Requirement> */
    private array $requirements = [];

    /** @var array<string, Area> */
    private array $areas = [];

    public function __construct(public readonly string $clause, public readonly View $view)
    {
    }

    public function add(Requirement $requirement, Area $area): void
    {
        $this->requirements[] = $requirement;
        $this->areas[$area->key] = $area;
    }

    public function first(): Requirement
    {
        return $this->requirements[0] ?? throw new LogicException('Nothing was asked.');
    }

    /** @return non-empty-list<Area> */
    public function areas(): array
    {
        $areas = array_values($this->areas);

        return $areas === [] ? throw new LogicException('Nothing was asked.') : $areas;
    }

    /** What is to be there must be answered; how it is finished need not. */
    public function isMandatory(): bool
    {
        foreach ($this->requirements as $r) {
            if ($r instanceof EffectRequirement || $r instanceof TechniqueRequirement) {
                return true;
            }
        }

        return false;
    }
}
