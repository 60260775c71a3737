<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Something that wants a reason came without one. */
final class ReasonMissing extends Refusal
{
    public function __construct(string $pointer, string $ask = 'Say why.')
    {
        parent::__construct($ask, $pointer);
    }
}
