<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

/** Why a line of a table is no paint. */
enum PaintFault
{
    case NoName;
    case Twice;
    case NoColour;
    case NoAmount;
    case NoHiding;
}
