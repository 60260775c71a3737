<?php

declare(strict_types=1);

namespace App\Exceptions;

/** There is nothing in the file. */
final class EmptyFile extends Refusal
{
    public function __construct()
    {
        parent::__construct('The file is empty.');
    }
}
