<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** What became of a version of a quote. */
enum QuoteState: string
{
    case Open = 'open';
    case Accepted = 'accepted';
    case Refused = 'refused';
    /** A newer version went out before anybody answered, or was accepted after it. */
    case Replaced = 'replaced';
}
