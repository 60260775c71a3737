<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** What became of a picture of a drill. */
enum DrillOutcome: string
{
    /** What counts was found. */
    case Found = 'found';
    /** Something counts, and it was not seen there. */
    case Missed = 'missed';
    /** Nothing counts, and something was called. */
    case False = 'false';
    /** Nothing counts, and nothing was called. */
    case Right = 'right';
}
