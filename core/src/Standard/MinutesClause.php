<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use Ordotype\Core\Sculpt\Size;

/** The most hand minutes a piece of these sizes may take. */
final readonly class MinutesClause extends Clause
{
    /** @param  list<Size>  $size */
    public function __construct(
        string $id,
        public array $size,
        public float $max,
        ?Scope $scope = null,
        ?string $label = null,
        ?string $clientText = null,
        ?Severity $severity = null,
    ) {
        parent::__construct($id, $scope, $label, $clientText, $severity);
    }
}
