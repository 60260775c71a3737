<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A photograph shows no such detail, or is of a model that is not signed off. */
final class NoSuchDetail extends Refusal
{
    public function __construct(string $why)
    {
        parent::__construct($why, '/area');
    }
}
