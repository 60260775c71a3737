<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** What can be odd about a sculpt's map. */
enum MapOddity: string
{
    case NoOutlines = 'no_outlines';
    case NoMain = 'no_main';
    case SurroundApart = 'surround_apart';
    case LargeDetail = 'large_detail';
    case TooFewPoints = 'too_few_points';
    case CrossesItself = 'crosses_itself';
    case Hidden = 'hidden';
    case NotOutlined = 'not_outlined';
    case Facing = 'facing';
    case Share = 'share';
    case TouchesApart = 'touches_apart';
    case SameLayer = 'same_layer';
    case TouchesUnsaid = 'touches_unsaid';
}
