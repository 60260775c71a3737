<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A fault of an area names the area. */
final class NoAreaNamed extends Refusal
{
    public function __construct(string $pointer)
    {
        parent::__construct('Say on which area it is.', $pointer);
    }
}
