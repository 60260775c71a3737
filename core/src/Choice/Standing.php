<?php

declare(strict_types=1);

namespace Ordotype\Core\Choice;

/** How work stands to what is asked. */
enum Standing: string
{
    case Met = 'met';
    case Short = 'short';
    case Over = 'over';
    case Conflict = 'conflict';
}
