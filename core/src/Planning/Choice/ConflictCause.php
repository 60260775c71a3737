<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Choice;

/** Why what is asked of an area cannot be had there. */
enum ConflictCause
{
    /** No allowed technique can give what the one requirement asks. */
    case NothingGivesIt;

    /** Each can be met, but not all of them together. */
    case NotTogether;

    /** No technique that gives a base colour is allowed. */
    case NoBase;

    /** A base colour is allowed, but not what it needs. */
    case BaseLacksWhatItNeeds;

    /** The clauses can be met, but not with what the method adds. */
    case MethodAdds;
}
