<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** What an amendment does to a tier's clauses. */
enum AmendmentAction: string
{
    case Add = 'add';
    case Omit = 'omit';
    case Set = 'set';
}
