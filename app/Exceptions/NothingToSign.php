<?php

declare(strict_types=1);

namespace App\Exceptions;

/** No pieces were named. */
final class NothingToSign extends Refusal
{
    public function __construct()
    {
        parent::__construct('There is nothing to sign.', '/pieces');
    }
}
