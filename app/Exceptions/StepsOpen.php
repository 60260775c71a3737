<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** A piece is offered when every step was done or left out with a reason. */
final class StepsOpen extends Refusal
{
    public function __construct(Piece $piece, int $open, string $first)
    {
        $steps = $open === 1 ? '1 step is' : "$open steps are";
        parent::__construct(
            "Model $piece->number: $steps still to be done or left out with a reason, first: $first.",
            '/pieces',
            409,
        );
    }
}
