<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Which faults a client must consent to before a piece is accepted as it is. */
enum Consent: string
{
    case None = 'none';
    case Minor = 'minor';
    case Major = 'major';

    /**
     * Whether a client must agree before what has such faults is accepted as it is.
     *
     * @param  list<Severity>  $found
     */
    public function isWantedFor(array $found): bool
    {
        return match ($this) {
            self::None => false,
            self::Major => in_array(Severity::Major, $found, true),
            self::Minor => in_array(Severity::Major, $found, true) || in_array(Severity::Minor, $found, true),
        };
    }
}
