<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Standard\Tier;

/** Work is raised to a higher tier only. */
final class TierNotHigher extends Refusal
{
    public function __construct(public readonly Tier $tier, public readonly Tier $from)
    {
        parent::__construct("$tier->name is not higher than $from->name.", '/tier');
    }
}
