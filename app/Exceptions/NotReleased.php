<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Unit;

/** The unit is not on the bench. */
final class NotReleased extends Refusal
{
    public function __construct(public readonly Unit $unit)
    {
        parent::__construct('This unit has not been released to the bench yet.', '', 409);
    }
}
