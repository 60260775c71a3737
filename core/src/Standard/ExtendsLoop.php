<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use DomainException;

/** Tiers that extend one another in a circle. */
final class ExtendsLoop extends DomainException
{
    /** @param  list<string>  $tiers the keys on the way, the first one again at the end */
    public function __construct(public readonly array $tiers)
    {
        parent::__construct('The tiers extend one another in a circle: '.implode(' → ', $tiers).'.');
    }
}
