<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Words\Terms;

/** Only what passed its check is signed. */
final class NotPassed extends Refusal
{
    public function __construct(public readonly Piece $piece)
    {
        parent::__construct(
            "Model $piece->number ($piece->code) has not passed its check: it is ".
                Terms::stage(Stage::from($piece->stage)).
                '.',
            '/pieces',
            409,
        );
    }
}
