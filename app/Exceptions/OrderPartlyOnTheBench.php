<?php

declare(strict_types=1);

namespace App\Exceptions;

/** What holds for the whole order cannot change once a unit of it was released. */
final class OrderPartlyOnTheBench extends Refusal
{
    public function __construct()
    {
        parent::__construct(
            'Another unit of this order is on the bench: what holds for the whole order stays as it is. '.
                'Amend the unit instead.',
            '',
            409,
        );
    }
}
