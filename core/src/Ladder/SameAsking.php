<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Scope;

/** Clauses of one tier that ask for the same thing, each in a scope of its own. Looked up instead of gone through. */
final class SameAsking
{
    /** @var array<int, Clause> by their places in the tier */
    public array $clauses = [];

    /** @var array<string, true> */
    private array $scopes = [];

    public function __construct(public readonly Clause $first)
    {
    }

    public function add(int $place, Clause $clause): void
    {
        $this->clauses[$place] = $clause;
        $this->scopes[serialize($clause->scope())] = true;
    }

    public function holdsIn(Scope $scope): bool
    {
        return isset($this->scopes[serialize($scope)]);
    }
}
