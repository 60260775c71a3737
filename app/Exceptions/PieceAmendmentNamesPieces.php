<?php

declare(strict_types=1);

namespace App\Exceptions;

/** What holds for one piece cannot name others. */
final class PieceAmendmentNamesPieces extends Refusal
{
    public function __construct()
    {
        parent::__construct('An amendment of one model holds on that model alone.', '/amendment/on');
    }
}
