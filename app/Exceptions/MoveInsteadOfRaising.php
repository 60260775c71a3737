<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Unit;

/** A unit that is not on the bench is moved to a tier; nothing is there yet that could be raised. */
final class MoveInsteadOfRaising extends Refusal
{
    public function __construct(public readonly Unit $unit)
    {
        parent::__construct('This unit is not on the bench yet: move it to the tier instead.', '', 409);
    }
}
