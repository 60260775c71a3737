<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\StageMove;
use Ordotype\Core\Words\Terms;

/** A piece of this stage cannot be moved so. */
final class StageForbidsMove extends Refusal
{
    public function __construct(public readonly Piece $piece, public readonly StageMove $move)
    {
        parent::__construct(
            "Model $piece->number ($piece->code) is ".
                Terms::stage(Stage::from($piece->stage)).
                ': that does not go with “'.
                Terms::move($move).
                '”.',
            '/move',
            409,
        );
    }
}
