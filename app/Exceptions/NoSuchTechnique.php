<?php

declare(strict_types=1);

namespace App\Exceptions;

/** No technique of the catalogue has that key. */
final class NoSuchTechnique extends Refusal
{
    public function __construct(public readonly string $technique, string $pointer)
    {
        parent::__construct("There is no technique \"$technique\".", $pointer);
    }
}
