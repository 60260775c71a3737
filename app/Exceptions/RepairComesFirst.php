<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** A covering step of a repair waits for what it covers. */
final class RepairComesFirst extends Refusal
{
    public function __construct(public readonly Piece $piece, string $step, string $first)
    {
        parent::__construct(
            "$step covers what is still to be repaired on model $piece->number: $first comes first.",
            '/steps',
            409,
        );
    }
}
