<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The plan has no such step. */
final class NoSuchStep extends Refusal
{
    public function __construct(public readonly string $step, string $pointer)
    {
        parent::__construct('That is no step of this plan.', $pointer);
    }
}
