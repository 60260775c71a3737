<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** What a sample says of its lot: refused, every piece of it is checked. */
enum LotVerdict: string
{
    case Open = 'open';
    case Accepted = 'accepted';
    case Refused = 'refused';
}
