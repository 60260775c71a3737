<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** Nobody checks or signs what they painted. */
final class OwnWork extends Refusal
{
    public function __construct(public readonly Piece $piece)
    {
        parent::__construct("You painted on model $piece->number: somebody else checks it.", '', 403);
    }
}
