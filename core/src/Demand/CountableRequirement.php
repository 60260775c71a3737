<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

/** What the chosen techniques of an area add up to: passes of an effect or technique, or colour steps. */
interface CountableRequirement
{
    /** The least that meets it: passes, or colour steps. */
    public function floor(): int;
}
