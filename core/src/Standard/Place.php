<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Where on an area something is done: it is drawn, said and asked there, and takes no other minutes. */
enum Place: string
{
    case Recesses = 'recesses';
    case Seams = 'seams';
    case Upper = 'upper';
    case Lower = 'lower';
    case Tips = 'tips';
    case Rim = 'rim';
    case Centre = 'centre';
    case InnerThreeQuarters = 'inner_three_quarters';
    case OuterQuarter = 'outer_quarter';
    case TowardsFront = 'towards_front';
}
