<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** A piece does not go on past a gate that refused it. */
final class GateRefused extends Refusal
{
    public function __construct(Piece $piece, string $gate, string $note)
    {
        parent::__construct(
            "Model $piece->number was refused at the gate “{$gate}”: $note It is put right and looked at again first.",
            '/steps',
            409,
        );
    }
}
