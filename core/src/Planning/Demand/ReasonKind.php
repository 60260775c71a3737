<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

/** What a {@see Reason} rests on. */
enum ReasonKind: string
{
    case Clause = 'clause';
    case Amendment = 'amendment';
    case Method = 'method';
    case Base = 'base';
    case Tidying = 'tidy';
    case Parts = 'parts';
    case TouchUp = 'touch_up';
}
