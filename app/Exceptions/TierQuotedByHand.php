<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Standard\Tier;

/** An open tier has no figures to plan by. */
final class TierQuotedByHand extends Refusal
{
    public function __construct(public readonly Tier $tier)
    {
        parent::__construct(
            "$tier->name is quoted by hand: agree with the client what is done, as clauses of this order, ".
                'and it has a plan.',
            '/tier',
        );
    }
}
