<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/** How something differs from what it was. */
enum ChangeKind: string
{
    case Added = 'added';
    case Dropped = 'dropped';
    case Tightened = 'tightened';
    case Loosened = 'loosened';
    case Changed = 'changed';
}
