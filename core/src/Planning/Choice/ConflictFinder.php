<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Standard\Effect;

/**
 * Finds the smallest set of clauses that cannot be met together, trying sets by size and, within a size, by clause
 * order.
 */
final readonly class ConflictFinder
{
    /** At this bar no technique is too rough. */
    private const NO_BAR = 1;

    public function __construct(private AreaSolver $solver)
    {
    }

    /** @param  callable(list<Requirement>): AreaProblem  $problemOf the problem with only these requirements */
    public function find(AreaDemand $demand, callable $problemOf): Conflict
    {
        $asked = array_values(array_filter($demand->asked, fn (Requirement $r) => $r->least() !== null));
        $area = $demand->area;
        if (! $this->solver->canBeMet($problemOf([]), self::NO_BAR)) {
            return new Conflict($area, self::withoutBase($problemOf([])));
        }
        for ($size = 1; $size <= count($asked); $size++) {
            foreach (Subsets::of(count($asked), $size) as $chosen) {
                $set = array_map(fn (int $i) => $asked[$i], $chosen);
                if (! $this->solver->canBeMet($problemOf(Requirement::join($set)), self::NO_BAR)) {
                    return new Conflict(
                        $area,
                        $size === 1 ? ConflictCause::NothingGivesIt : ConflictCause::NotTogether,
                        $set,
                    );
                }
            }
        }

        return new Conflict($area, ConflictCause::MethodAdds);
    }

    private static function withoutBase(AreaProblem $problem): ConflictCause
    {
        foreach ($problem->candidates as $candidate) {
            if ($candidate->technique->has(Effect::BaseColour)) {
                return ConflictCause::BaseLacksWhatItNeeds;
            }
        }

        return ConflictCause::NoBase;
    }
}
