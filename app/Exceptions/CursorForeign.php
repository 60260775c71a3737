<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A cursor that this list, in this order, never gave out. */
final class CursorForeign extends Refusal
{
    public function __construct()
    {
        parent::__construct('This is no place in this list. Read the list from its beginning.', '/cursor');
    }
}
