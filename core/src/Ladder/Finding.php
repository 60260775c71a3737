<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/** Something on the ladder that cannot be meant so: where, which clauses, why, and what to change. */
final readonly class Finding
{
    /** @param  list<string>  $clauses */
    public function __construct(public string $kind, public string $tier, public array $clauses, public string $why, public string $change)
    {
    }
}
