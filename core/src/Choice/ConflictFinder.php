<?php

declare(strict_types=1);

namespace Ordotype\Core\Choice;

use Ordotype\Core\Demand\AreaDemand;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
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
        $asked = array_values(
            array_filter(
                $demand->asked,
                fn (Requirement $r) => in_array(
                    $r->kind,
                    [RequirementKind::Steps, RequirementKind::Effect, RequirementKind::Technique],
                    true,
                ),
            ),
        );
        $area = $demand->area?->key;
        if (! $this->solver->canBeMet($problemOf([]), self::NO_BAR)) {
            return new Conflict($area, [], $this->withoutBase($problemOf([])));
        }
        for ($size = 1; $size <= count($asked); $size++) {
            foreach (Subsets::of(count($asked), $size) as $chosen) {
                $set = array_map(fn (int $i) => $asked[$i], $chosen);
                if (! $this->solver->canBeMet($problemOf(Requirement::join($set)), self::NO_BAR)) {
                    return new Conflict(
                        $area,
                        array_values(
                            array_unique(array_merge(...array_map(fn (Requirement $r) => $r->clauses, $set))),
                        ),
                        self::words($set),
                    );
                }
            }
        }

        return new Conflict(
            $area,
            [],
            'the clauses can be met one by one and together, but not with what the method adds',
        );
    }

    private function withoutBase(AreaProblem $problem): string
    {
        foreach ($problem->candidates as $candidate) {
            if ($candidate->technique->givesAny(Effect::BaseColour)) {
                return 'no allowed base colour can be given here without something it needs that is not there';
            }
        }

        return 'no technique that gives a base colour is allowed here';
    }

    /** @param  list<Requirement>  $set */
    private static function words(array $set): string
    {
        $parts = array_map(fn (Requirement $r) => implode(', ', $r->clauses).' asks for '.self::demand($r), $set);

        return count($parts) === 1
            ? "$parts[0], which no allowed technique can give here"
            : implode('; ', $parts).': together they cannot be met with what is allowed here';
    }

    private static function demand(Requirement $r): string
    {
        $passes = $r->passes > 1 ? " in $r->passes passes" : '';

        return match ($r->kind) {
            RequirementKind::Steps => ($r->min ?? 0).
                ($r->max === null ? ' colour steps or more' : " to $r->max colour steps"),
            RequirementKind::Technique => "$r->technique at {$r->extent->word()} extent$passes",
            default => "{$r->subject()} at {$r->extent->word()} extent$passes".
                ($r->by === null ? '' : ' by '.implode(' or ', $r->by)),
        };
    }
}
