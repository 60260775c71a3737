<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A withdrawal cannot be withdrawn. */
final class WithdrawalStays extends Refusal
{
    public function __construct()
    {
        parent::__construct('A withdrawal cannot be withdrawn: check and sign the pieces again.', '', 409);
    }
}
