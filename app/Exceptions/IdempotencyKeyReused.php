<?php

declare(strict_types=1);

namespace App\Exceptions;

/** One key was used for two different requests. */
final class IdempotencyKeyReused extends Refusal
{
    public function __construct()
    {
        parent::__construct('This Idempotency-Key was used for another request.');
    }
}
