<?php

declare(strict_types=1);

namespace App\Exceptions;

use RuntimeException;

/** Something that cannot be done as things stand, with the reason and the field it is about. */
abstract class Refusal extends RuntimeException
{
    final protected function __construct(
        string $message,
        public readonly string $pointer = '',
        public readonly int $status = 422,
    ) {
        parent::__construct($message);
    }
}
