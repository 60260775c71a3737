<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A piece is offered when every step was done or left out with a reason. */
final class StepsOpen extends Refusal
{
    public function __construct(public readonly int $open, string $first)
    {
        parent::__construct(
            "$open steps are still to be done or left out with a reason, first: $first.",
            '/steps',
            409,
        );
    }
}
