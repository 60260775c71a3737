<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

/** What the chosen techniques of an area add up to: passes of an effect or technique, or colour steps. */
interface CountableRequirement
{
    /** The least that meets it: passes, or colour steps. */
    public function floor(): int;

    /** What is left of it when so much is done; null when nothing is. */
    public function lessDone(int $done): ?Requirement;
}
