<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The file of a picture is missing. */
final class PictureGone extends Refusal
{
    public function __construct()
    {
        parent::__construct('The file of this picture is not there any more.', '', 404);
    }
}
