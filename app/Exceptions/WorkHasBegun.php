<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Unit;

/** A unit is taken back from the bench only while nothing was done. */
final class WorkHasBegun extends Refusal
{
    public function __construct(public readonly Unit $unit)
    {
        parent::__construct(
            'Work on it has begun: it stays on the bench. Take the marks back first, or put its models on hold.',
            '',
            409,
        );
    }
}
