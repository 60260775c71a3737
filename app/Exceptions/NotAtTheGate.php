<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** A gate is answered when a piece stands at it: not before, and not when it has gone on. */
final class NotAtTheGate extends Refusal
{
    public function __construct(Piece $piece, string $gate)
    {
        parent::__construct("Model $piece->number does not stand at the gate “{$gate}” now.", '/pieces', 409);
    }
}
