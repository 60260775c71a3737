<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The key of a write that must happen once is not well formed. */
final class BadIdempotencyKey extends Refusal
{
    public function __construct()
    {
        parent::__construct('Idempotency-Key must be 8 to 100 printable characters.', '', 400);
    }
}
