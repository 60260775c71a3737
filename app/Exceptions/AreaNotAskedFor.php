<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The question is not about that area. */
final class AreaNotAskedFor extends Refusal
{
    public function __construct(public readonly string $area, string $pointer)
    {
        parent::__construct('That is not an area this question is about.', $pointer);
    }
}
