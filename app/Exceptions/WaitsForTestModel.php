<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Piece;

/** Nothing is painted in colours that the unit's test model was rejected in. */
final class WaitsForTestModel extends Refusal
{
    public function __construct(Piece $piece, string $note)
    {
        parent::__construct(
            "Model $piece->number waits: the test model was rejected. $note ".
                'The colours are changed and taken over first.',
            '/steps',
            409,
        );
    }
}
