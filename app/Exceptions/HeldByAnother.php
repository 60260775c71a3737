<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Two people do not look at one model at the same time unless one takes it over. */
final class HeldByAnother extends Refusal
{
    public function __construct(string $name)
    {
        parent::__construct("$name is looking at this model just now. Take it over, or wait.", '', 409);
    }
}
