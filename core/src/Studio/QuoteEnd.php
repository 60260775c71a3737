<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** What a client is told of the money: a price and the most it can come to, or a price that stands. */
enum QuoteEnd: string
{
    case Ceiling = 'ceiling';
    case Fixed = 'fixed';
}
