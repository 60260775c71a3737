<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A share link that expired, was withdrawn or was never made; which of these is not told. */
final class LinkShowsNothing extends Refusal
{
    public function __construct()
    {
        parent::__construct('This link shows nothing any more. Ask the studio for a new one.', '', 404);
    }
}
