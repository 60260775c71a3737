<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A token that is not known, or was revoked. */
final class UnknownToken extends Refusal
{
    public function __construct()
    {
        parent::__construct('This token is not known, or was revoked.', '', 401);
    }
}
