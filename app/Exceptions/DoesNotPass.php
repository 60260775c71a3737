<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Words\CheckWords;

/** What the check found does not pass. */
final class DoesNotPass extends Refusal
{
    public function __construct(public readonly Verdict $state)
    {
        parent::__construct('It does not pass: '.CheckWords::verdict($state).'.', '/verdict', 409);
    }
}
