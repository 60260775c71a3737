<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Work is sent back for a fault. */
final class NothingToRepair extends Refusal
{
    public function __construct()
    {
        parent::__construct('There is no fault to send it back for.', '/verdict', 409);
    }
}
