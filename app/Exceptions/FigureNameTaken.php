<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Two figures cannot have one name. */
final class FigureNameTaken extends Refusal
{
    public function __construct(public readonly string $name)
    {
        parent::__construct("There is a figure \"$name\" already: choose another name.", '/document/name');
    }
}
