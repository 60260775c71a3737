<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Standard\Tier;

/** Where the work on a plan could stop so that what is there meets a lower tier; or why it cannot. */
final readonly class StoppingPoint
{
    /**
     * @param  list<int>|null  $steps  places in the plan's order of work that are done by then, finishing steps apart; null where there is no such point
     * @param  float  $minutes  hand minutes of those steps, area by area, with what finishes the piece there
     * @param  string|null  $reason  why there is none
     */
    public function __construct(public Tier $tier, public ?array $steps, public float $minutes, public ?string $reason)
    {
    }
}
