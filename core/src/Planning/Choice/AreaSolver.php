<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

use Ordotype\Core\Standard\Extent;

/**
 * Chooses the techniques that meet an area's requirements in the fewest minutes, exactly ({@see AreaSearch}), and
 * remembers what it chose: where a clause, a school or a piece changes only some areas, the others are looked up.
 */
final class AreaSolver
{
    /** Answers that are remembered at most. */
    private const REMEMBERED = 20_000;

    /**
     * @var array<string, list<array{int, int, int}>|null> by what the problem holds: [place among its candidates,
     * passes, extent]; null: nothing fits
     */
    private array $solved = [];

    /** The best choice at a grade bar, or null when there is none. */
    public function solve(AreaProblem $problem, int $bar): ?Choice
    {
        $key = $problem->signature()."|$bar";
        if (! array_key_exists($key, $this->solved)) {
            if (count($this->solved) >= self::REMEMBERED) {
                $this->solved = [];
            }
            $this->solved[$key] = self::search($problem, $bar);
        }
        $use = $this->solved[$key];

        return $use === null
            ? null
            : new Choice(
                array_map(
                    fn (array $u) => ChosenTechnique::of($problem->candidates[$u[0]], $u[1], Extent::from($u[2])),
                    $use,
                ),
            );
    }

    public function canBeMet(AreaProblem $problem, int $bar): bool
    {
        $tables = SolverTables::of($problem, $bar);

        return $tables !== null && (new AreaSearch($tables, true))->best() !== null;
    }

    /** @return list<array{int, int, int}>|null [place among the candidates of the problem, passes, extent] */
    private static function search(AreaProblem $problem, int $bar): ?array
    {
        $tables = SolverTables::of($problem, $bar);
        $best = $tables === null ? null : (new AreaSearch($tables, false))->best();
        if ($tables === null || $best === null) {
            return null;
        }
        $places = array_flip(array_map(fn (Candidate $c) => $c->index, $problem->candidates));

        return array_map(fn (array $u) => [$places[$tables->candidates[$u[0]]->index], $u[1], $u[2]], $best);
    }
}
