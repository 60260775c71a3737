<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

/** An area whose base can be brushed or sprayed, with what it gets either way. */
final readonly class SprayOption
{
    public function __construct(public PlannedArea $brushed, public PlannedArea $sprayed)
    {
    }
}
