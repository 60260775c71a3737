<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

/** How a chain can be broken at a record. */
enum Damage
{
    case Missing;
    case DoesNotFollow;
    case TextChanged;
    case NamesAnother;
    case TailMissing;
}
