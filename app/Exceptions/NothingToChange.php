<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A list of changes was empty. */
final class NothingToChange extends Refusal
{
    public function __construct()
    {
        parent::__construct('There is nothing to change.', '/changes');
    }
}
