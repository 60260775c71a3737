<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The same was asked before and was done; its secret is kept nowhere, so it cannot be told again. */
final class ToldOnce extends Refusal
{
    public function __construct()
    {
        parent::__construct(
            'This was done already, and what it told is told only once. Take it back in its list and make another.',
            '',
            409,
        );
    }
}
