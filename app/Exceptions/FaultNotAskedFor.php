<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The question does not ask for that fault. */
final class FaultNotAskedFor extends Refusal
{
    public function __construct(public readonly string $fault, string $pointer)
    {
        parent::__construct("$fault is not a fault this question asks for.", $pointer);
    }
}
