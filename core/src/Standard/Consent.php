<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Which faults a client must consent to before a piece is accepted as it is. */
enum Consent: string
{
    case None = 'none';
    case Minor = 'minor';
    case Major = 'major';
}
