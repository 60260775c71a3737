<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** On how many pieces of a unit an amendment holds: a number of pieces, or a share of them. Exactly one is set. */
final readonly class AmendmentSpread
{
    public function __construct(public ?int $pieces, public ?float $share)
    {
    }
}
