<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** Where the severity of a fault comes from. */
enum Basis
{
    /** The look that was agreed wants it: it is no fault. */
    case Wanted;

    /** The tier says so of this fault. */
    case Tier;

    /** The clause that was looked at says so. */
    case Clause;

    /** The fault table, for heroes. */
    case TableForHeroes;

    case Table;
}
