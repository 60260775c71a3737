<?php

declare(strict_types=1);

namespace App\Studio;

/** What a fault counts at the tier, why, and what puts it right. */
final readonly class FaultJudged
{
    /** @param  list<array{technique: string, area: string|null, minutes: float, why: string}>  $repair */
    public function __construct(public string $severity, public string $why, public array $repair)
    {
    }
}
