<?php

declare(strict_types=1);

namespace App\Exceptions;

use Ordotype\Core\Standard\Tier;

/** A retired tier takes no new work. */
final class TierRetired extends Refusal
{
    public function __construct(public readonly Tier $tier)
    {
        parent::__construct("$tier->name is retired: it stays readable, and nothing new is ordered at it.", '/tier');
    }
}
