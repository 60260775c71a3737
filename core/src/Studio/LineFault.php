<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** Why a line makes no unit. */
enum LineFault
{
    case NoNumber;
    case Count;
    case Figure;
    case NoTier;
    case Tier;
}
