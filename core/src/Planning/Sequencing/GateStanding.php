<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Sequencing;

/** Where a piece stands to a gate. */
enum GateStanding
{
    case Before;
    case At;
    case Past;
}
