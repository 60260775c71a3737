<?php

declare(strict_types=1);

namespace Ordotype\Core\Amendment;

/** What an amendment does to a tier's clauses. */
enum Action: string
{
    case Add = 'add';
    case Omit = 'omit';
    case Set = 'set';
}
