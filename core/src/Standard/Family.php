<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Technique families, in the order of the bench. */
enum Family: string
{
    case Prepare = 'prepare';
    case Undercoat = 'undercoat';
    case Spray = 'spray';
    case Base = 'base';
    case Shade = 'shade';
    case Highlight = 'highlight';
    case Blend = 'blend';
    case Line = 'line';
    case Detail = 'detail';
    case Mark = 'mark';
    case Wear = 'wear';
    case Protect = 'protect';
    case Ground = 'ground';
    case Check = 'check';
}
