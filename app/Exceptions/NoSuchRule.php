<?php

declare(strict_types=1);

namespace App\Exceptions;

/** No rule of order has that key. */
final class NoSuchRule extends Refusal
{
    public function __construct(public readonly string $rule, string $pointer)
    {
        parent::__construct("There is no rule \"$rule\".", $pointer);
    }
}
