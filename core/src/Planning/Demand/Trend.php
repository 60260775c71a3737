<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

/** Which way a requirement goes from one tier to another. */
enum Trend: string
{
    case Added = 'added';
    case Dropped = 'dropped';
    case Strengthened = 'strengthened';
    case Weakened = 'weakened';
    case Changed = 'changed';
    case AllowsMore = 'allows_more';
    case AllowsLess = 'allows_less';
}
