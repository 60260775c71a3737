<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Some of the pieces do not exist. */
final class NoSuchPieces extends Refusal
{
    public function __construct()
    {
        parent::__construct('One of the models does not exist.', '/pieces', 404);
    }
}
