<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A part of the body must be a JSON object. */
final class NotAnObject extends Refusal
{
    public function __construct(public readonly string $key)
    {
        parent::__construct("\"$key\" must be an object.", "/$key");
    }
}
