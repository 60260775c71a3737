<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Words\Terms;

/** Only a piece that is worked on is offered or taken back. */
final class NotBeingWorkedOn extends Refusal
{
    public function __construct(public readonly Piece $piece)
    {
        parent::__construct(
            "Model $piece->number is not being worked on: it is ".Terms::stage(Stage::from($piece->stage)).'.',
            '',
            409,
        );
    }
}
