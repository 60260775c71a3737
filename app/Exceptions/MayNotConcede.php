<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Only people with the right to sign accept a piece as it is. */
final class MayNotConcede extends Refusal
{
    public function __construct()
    {
        parent::__construct('Only people who may sign accept a piece as it is.', '/verdict', 403);
    }
}
