<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A unit takes over colours that are newer than its own. */
final class NoNewerColours extends Refusal
{
    public function __construct()
    {
        parent::__construct('The scheme has no newer colours than those that the unit is painted in.', '', 409);
    }
}
