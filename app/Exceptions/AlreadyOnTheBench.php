<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The unit is on the bench: its plan is what it was released with. */
final class AlreadyOnTheBench extends Refusal
{
    public function __construct()
    {
        parent::__construct('This unit is on the bench already: its plan stays as it was released.', '', 409);
    }
}
