<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** The piece is not on the bench any more. */
final class LeftTheBench extends Refusal
{
    public function __construct(public readonly Piece $piece)
    {
        parent::__construct("Model $piece->number is not on the bench any more.", '', 409);
    }
}
