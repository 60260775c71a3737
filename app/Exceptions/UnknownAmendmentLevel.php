<?php

declare(strict_types=1);

namespace App\Exceptions;

/** An amendment holds for the studio, an order, a unit or a piece. */
final class UnknownAmendmentLevel extends Refusal
{
    public function __construct()
    {
        parent::__construct('The level must be studio, order, unit or piece.', '/amendment/level');
    }
}
