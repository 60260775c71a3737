<?php

declare(strict_types=1);

namespace Ordotype\Core\Choice;

/**
 * The fewest clauses that cannot hold together on an area (null: on the whole model); empty when no clause is to
 * blame.
 */
final readonly class Conflict
{
    /** @param  list<string>  $clauses */
    public function __construct(public ?string $area, public array $clauses, public string $reason)
    {
    }
}
