<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A picture has a largest size. */
final class PictureTooLarge extends Refusal
{
    public function __construct(public readonly int $megabytes)
    {
        parent::__construct("Send the picture as a file of at most $megabytes MB.", '/picture');
    }
}
