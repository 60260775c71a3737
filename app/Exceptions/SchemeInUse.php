<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The scheme of an order stays once a unit of it is on the bench. */
final class SchemeInUse extends Refusal
{
    public function __construct()
    {
        parent::__construct(
            'A unit of this order is on the bench: its scheme stays. Make a new version of it instead.',
            '/scheme',
            409,
        );
    }
}
