<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Changes are made in an open draft. */
final class NoDraftOpen extends Refusal
{
    public function __construct()
    {
        parent::__construct('No draft is open.', '', 409);
    }
}
