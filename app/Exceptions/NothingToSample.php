<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Where the tier wants every piece checked, or there are too few for the tables, nothing is drawn. */
final class NothingToSample extends Refusal
{
    public function __construct()
    {
        parent::__construct(
            'Every model is checked here: the tier draws no sample, or too few wait together.',
            '',
            409,
        );
    }
}
