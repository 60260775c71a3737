<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The figure has no area of that key. */
final class NoSuchArea extends Refusal
{
    public function __construct(public readonly string $area, string $figure, string $pointer)
    {
        parent::__construct("\"$area\" is not an area of $figure.", $pointer);
    }
}
