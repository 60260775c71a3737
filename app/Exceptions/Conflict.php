<?php

declare(strict_types=1);

namespace App\Exceptions;

use RuntimeException;

/** Somebody else changed it first: the current state goes back with the refusal, and nothing is lost. */
abstract class Conflict extends RuntimeException
{
    /** @param  array<string, mixed>  $current */
    public function __construct(string $message, public readonly array $current)
    {
        parent::__construct($message);
    }
}
