<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Foundation\Money;

/** From one amount to another. */
final readonly class MoneyBand
{
    public function __construct(public Money $low, public Money $high)
    {
    }
}
