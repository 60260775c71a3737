<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

/** Why a step will hardly be seen. */
enum Doubt
{
    /** Its mark is smaller than what is noticed at the tier's distance. */
    case MarkTooSmall;

    /** Its paint is hardly darker than the base colour. */
    case HardlyDarker;

    /** The area is dark and nobody looks at it. */
    case DarkAndHidden;
}
