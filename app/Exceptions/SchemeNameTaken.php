<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Two schemes cannot have one name. */
final class SchemeNameTaken extends Refusal
{
    public function __construct(public readonly string $name)
    {
        parent::__construct("There is a scheme \"$name\" already: choose another name.", '/document/name');
    }
}
