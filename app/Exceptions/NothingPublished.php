<?php

declare(strict_types=1);

namespace App\Exceptions;

/** What clients and orders rest on is the published standard, and there is none. */
final class NothingPublished extends Refusal
{
    public function __construct()
    {
        parent::__construct('No version of the standard is published yet: publish the draft first.', '', 409);
    }
}
