<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** How many colour steps each area gets: at least `min`, at most `max` (null: open). */
final readonly class StepsClause extends Clause
{
    public function __construct(
        string $id,
        public int $min,
        public ?int $max,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }
}
