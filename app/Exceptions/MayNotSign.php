<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** The piece cannot be signed by this person. */
final class MayNotSign extends Refusal
{
    public function __construct(public readonly Piece $piece, string $why)
    {
        parent::__construct("Model $piece->number: $why", '/pieces', 403);
    }
}
