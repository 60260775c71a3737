<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** How many colours are sprayed on the model. */
final readonly class SprayedColoursClause extends Clause
{
    public function __construct(
        string $id,
        public int $min,
        public int $max,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }
}
