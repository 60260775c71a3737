<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The points that were set place nothing. */
final class NotPlaced extends Refusal
{
    public function __construct(string $why)
    {
        parent::__construct($why, '/top');
    }
}
