<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The plan cannot be held against what was named. */
final class NotComparable extends Refusal
{
    public function __construct(string $why)
    {
        parent::__construct($why, '/with');
    }
}
