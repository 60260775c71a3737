<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Files that are taken in. */
final class ImportRefused extends Refusal
{
    /** There is nothing in the file. */
    public static function empty(): self
    {
        return new self('The file is empty.');
    }

    /** A file for import has a largest size. */
    public static function tooLarge(int $megabytes): self
    {
        return new self("The file is larger than $megabytes MB.", '', 413);
    }

    /** Somebody called a long import off; nothing of it stays. */
    public static function calledOff(): self
    {
        return new self('It was called off. Nothing of it was taken in.');
    }
}
