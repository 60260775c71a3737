<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/**
 * Something on the ladder that cannot be meant so: where, which clauses, why, what to change, and that change itself.
 */
final readonly class Finding
{
    /**
     * @param  string  $kind  see {@see Lint}
     * @param  list<string>  $clauses
     * @param  list<Edit>  $edits  the proposed change; empty where only a person can say what is meant
     */
    public function __construct(
        public string $kind,
        public string $tier,
        public array $clauses,
        public string $why,
        public string $change,
        public array $edits = [],
    ) {
    }
}
