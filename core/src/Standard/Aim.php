<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** What a tier's plan strives for: the least time that meets it, or the most notice within its minutes. */
enum Aim: string
{
    case Quickest = 'quickest';
    case Best = 'best';
}
