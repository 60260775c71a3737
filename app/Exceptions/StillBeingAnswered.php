<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The same request is on its way. */
final class StillBeingAnswered extends Refusal
{
    public function __construct()
    {
        parent::__construct('The same request is being answered just now.', '', 409);
    }
}
