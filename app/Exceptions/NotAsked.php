<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The check has no such question. */
final class NotAsked extends Refusal
{
    public function __construct(public readonly string $question)
    {
        parent::__construct('That is not asked in this check.', '/question', 404);
    }
}
