<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** The least skill, 1 to 5, of whoever paints it. */
final readonly class SkillClause extends Clause
{
    public function __construct(
        string $id,
        public int $min,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }
}
