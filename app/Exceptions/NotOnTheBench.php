<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Words\Terms;

/** The piece is not on the bench. */
final class NotOnTheBench extends Refusal
{
    public function __construct(public readonly Piece $piece)
    {
        parent::__construct(
            "Model $piece->number ($piece->code) is not on the bench: it is ".
                Terms::stage(Stage::from($piece->stage)).
                '.',
            '/pieces',
            409,
        );
    }
}
