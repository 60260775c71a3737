<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** How big a model is. */
enum Size: string
{
    case Small = 'small';
    case Infantry = 'infantry';
    case Large = 'large';
    case Mounted = 'mounted';
    case Vehicle = 'vehicle';
    case Monster = 'monster';
}
