<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** How a rung of the ladder stands. */
enum TierStatus: string
{
    case Offered = 'offered';
    case Retired = 'retired';
    case Open = 'open';
}
