<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Words\Terms;

/** Only a piece that is offered is checked. */
final class NotOffered extends Refusal
{
    public function __construct(public readonly Piece $piece)
    {
        parent::__construct(
            "Model $piece->number is not offered to the check: it is ".
                Terms::stage(Stage::from($piece->stage)).
                '.',
            '',
            409,
        );
    }
}
