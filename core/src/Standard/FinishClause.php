<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** A figure the finished area must reach, in the unit of its criterion. */
final readonly class FinishClause extends Clause
{
    public function __construct(
        string $id,
        public Criterion $criterion,
        public float $limit,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }
}
