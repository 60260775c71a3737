<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/** What on a ladder cannot be meant so. */
enum FindingKind: string
{
    case FloorAboveCeiling = 'floor_above_ceiling';
    case MatchesNothing = 'matches_nothing';
    case NobodyMay = 'nobody_may';
    case NobodySees = 'nobody_sees';
    case AsksNothing = 'asks_nothing';
    case AsksLess = 'asks_less';
    case SameAs = 'same_as';
    case LowersBar = 'lowers_bar';
    case CannotBeMet = 'cannot_be_met';
    case OverMinutes = 'over_minutes';
    case BelowCost = 'below_cost';
}
