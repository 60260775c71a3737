<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The sign-off was withdrawn or replaced. */
final class SignOffDoesNotHold extends Refusal
{
    public function __construct(public readonly int $number)
    {
        parent::__construct("Sign-off $number does not hold any more.", '', 409);
    }
}
