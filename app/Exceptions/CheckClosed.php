<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A closed check stays as it was closed. */
final class CheckClosed extends Refusal
{
    public function __construct()
    {
        parent::__construct('This check is closed.', '', 409);
    }
}
