<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A file for import has a largest size. */
final class FileTooLarge extends Refusal
{
    public function __construct(public readonly int $megabytes)
    {
        parent::__construct("The file is larger than $megabytes MB.", '', 413);
    }
}
