<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Each unit is signed by itself. */
final class PiecesOfSeveralUnits extends Refusal
{
    public function __construct()
    {
        parent::__construct('The pieces are of more than one unit: sign each unit by itself.', '/pieces');
    }
}
