<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The password that somebody has today is another one. */
final class PasswordWrong extends Refusal
{
    public function __construct()
    {
        parent::__construct('That is not your password of today.', '/current');
    }
}
