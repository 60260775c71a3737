<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Only a mark that was made can be taken back. */
final class NeverMarked extends Refusal
{
    public function __construct(string $step)
    {
        parent::__construct("None of these models was ever marked for the step $step.", '/steps', 404);
    }
}
