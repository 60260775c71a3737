<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** What can be wrong with the colours of a slot. */
enum SlotProblemKind
{
    case NoColours;
    case NotOnShelf;
    case ShadeHardlyDarker;
    case LightNotLighter;
    case LightHardlyLighter;
}
