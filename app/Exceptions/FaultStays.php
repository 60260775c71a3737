<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A noted fault goes by hand, not by another answer. */
final class FaultStays extends Refusal
{
    public function __construct(public readonly string $question)
    {
        parent::__construct('A fault is noted there: it stays until somebody takes it away.', '/answer', 409);
    }
}
