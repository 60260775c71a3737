<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A link that was used, withdrawn, replaced, or never was. */
final class LinkUsedUp extends Refusal
{
    public function __construct()
    {
        parent::__construct('This link no longer opens anything. Ask the lead for a new one.', '', 404);
    }
}
