<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

/** Why something that a clause asks cannot be done on an area at all. */
enum Unfit: string
{
    case NobodyGivesItSoWidely = 'nobody_gives_it_so_widely';
    case NobodyGivesItHere = 'nobody_gives_it_here';
    case Retired = 'retired';
    case NotForMaterial = 'not_for_material';
    case NotForRelief = 'not_for_relief';
    case NoBaseOnGround = 'no_base_on_ground';
}
