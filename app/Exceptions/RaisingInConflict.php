<?php

declare(strict_types=1);

namespace App\Exceptions;

/** What is there cannot be raised to the tier as things stand. */
final class RaisingInConflict extends Refusal
{
    public function __construct(string $why)
    {
        parent::__construct("It cannot be raised without an amendment: $why.", '', 409);
    }
}
