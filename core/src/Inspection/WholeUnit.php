<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** How the models of a unit look side by side. */
enum WholeUnit: string
{
    case OneArmy = 'one_army';
    case Clones = 'clones';
    case Monotonous = 'monotonous';
}
