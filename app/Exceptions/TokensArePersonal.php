<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A token cannot manage tokens. */
final class TokensArePersonal extends Refusal
{
    public function __construct()
    {
        parent::__construct('Tokens are managed by the person, not by a token.', '', 403);
    }
}
