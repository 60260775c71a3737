<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Somebody called a long import off; nothing of it stays. */
final class ImportCalledOff extends Refusal
{
    public function __construct()
    {
        parent::__construct('It was called off. Nothing of it was taken in.');
    }
}
