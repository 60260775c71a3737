<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** Why there is no figure. */
enum Unmeasured: string
{
    case TooSmall = 'too_small';
    case Clipped = 'clipped';
    case Dark = 'dark';
    case Hidden = 'hidden';
    case Shiny = 'shiny';
    case Marked = 'marked';
    case TooFewLines = 'too_few_lines';
    case Uneven = 'uneven';
    case Alike = 'alike';
    case NoPatch = 'no_patch';
    case Moved = 'moved';
    case Blurred = 'blurred';
}
