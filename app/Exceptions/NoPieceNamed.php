<?php

declare(strict_types=1);

namespace App\Exceptions;

/** An amendment of one piece names the piece. */
final class NoPieceNamed extends Refusal
{
    public function __construct()
    {
        parent::__construct('Say which model it is for.', '/piece');
    }
}
