<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** Why a step is part of a repair. */
enum RepairWhy
{
    case PutsRight;
    case LightGround;
    case OwnBase;
    /** A stain laid again: its grade counts one less. */
    case OwnStain;
    /** One less is less than the tier's pace wants there. */
    case OwnStainUneven;
    case DoneAgain;
    case Strayed;
    case VarnishWasOn;
}
