<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

/** Something a clause asks that cannot be done on an area at all, with the reason in words. No conflict, but said. */
final readonly class NotApplicable
{
    /** @param  list<string>  $clauses */
    public function __construct(
        public ?string $area,
        public string $subject,
        public array $clauses,
        public string $reason,
    ) {
    }
}
