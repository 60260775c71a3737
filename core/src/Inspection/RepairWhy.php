<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** Why a step is part of a repair. */
enum RepairWhy
{
    case PutsRight;
    case LightGround;
    case OwnBase;
    case DoneAgain;
    case Strayed;
    case VarnishWasOn;
}
