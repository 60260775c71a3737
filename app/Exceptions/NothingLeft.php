<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A piece lacks some of its areas, never all. */
final class NothingLeft extends Refusal
{
    public function __construct()
    {
        parent::__construct('Something must be left of it.', '/lacks');
    }
}
