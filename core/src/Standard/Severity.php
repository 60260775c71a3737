<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** How grave a fault is. */
enum Severity: string
{
    case Critical = 'critical';
    case Major = 'major';
    case Minor = 'minor';
}
