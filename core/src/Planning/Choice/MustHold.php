<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

/** What must hold on an area whatever the clauses say. */
enum MustHold
{
    /** Exactly one technique gives the base colour, in one pass, everywhere. */
    case OneBase;

    /** A wash is tidied where light goes over it, or where it is too rough by itself. */
    case Tidying;

    /** What a technique needs is there. */
    case Needs;
}
