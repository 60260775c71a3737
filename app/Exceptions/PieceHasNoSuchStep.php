<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** The piece wants no such step. */
final class PieceHasNoSuchStep extends Refusal
{
    public function __construct(public readonly Piece $piece, public readonly string $step)
    {
        parent::__construct("Model $piece->number has no such step.", '/steps');
    }
}
