<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The file is no picture that can be read. */
final class NotAPicture extends Refusal
{
    public function __construct()
    {
        parent::__construct('This is no picture that can be read: send a PNG, JPEG or WebP file.', '/picture');
    }
}
