<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Two people would have one e-mail address. */
final class AddressTaken extends Refusal
{
    public function __construct(public readonly string $email)
    {
        parent::__construct("Somebody in this studio has the address $email already.", '/email');
    }
}
