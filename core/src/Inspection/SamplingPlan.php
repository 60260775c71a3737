<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** How many pieces of a lot are looked at, and how many bad ones it may have. */
final readonly class SamplingPlan
{
    /**
     * @param  int  $n  pieces
     * @param  int  $accepts  bad pieces at the most; one more refuses the lot
     */
    public function __construct(public int $n, public int $accepts)
    {
    }
}
